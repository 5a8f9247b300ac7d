// The first round on the practice amp: what the hint points at bears a mark, and is gone to when asked for.

const guide = () => document.getElementById("guide");
const target = () => guide()?.dataset.points ? document.querySelector(guide().dataset.points) : null;

function point() {
  const at = target();
  document.querySelectorAll(".pointed").forEach(each => each.classList.toggle("pointed", each === at));
  at?.classList.add("pointed");
}

document.addEventListener("click", event => {
  const hints = event.target.closest("[data-hints]")?.dataset.hints;
  if (hints) {
    localStorage.setItem("hints", hints);
  }
  if (hints === "off") {
    guide().remove();
    point();
  } else if (event.target.closest("#show-me")) {
    target()?.scrollIntoView({ block: "nearest" });
    target()?.focus({ preventScroll: true });
  }
});

// The hint comes last: what it points at is not replaced under the hand any more.
document.body.addEventListener("htmx:afterSwap", event => {
  if (event.target.id === "live" && guide()?.hasAttribute("hx-trigger")) {
    htmx.trigger(guide(), "look");
  }
});
// Not sooner: what is replaced by its like bears the classes of that until it has settled.
document.body.addEventListener("htmx:afterSettle", point);

if (guide() && localStorage.getItem("hints") === "off") {
  guide().remove();
}
