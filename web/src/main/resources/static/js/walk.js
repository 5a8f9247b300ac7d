// The walk round the chassis: b in an empty field goes back, the cursor stands where the next number belongs, and a node of the
// drawing that is touched opens in place.

// Which of the drawings to send: for a wide screen or for a phone.
const phone = matchMedia("(max-width: 767.98px)");
const tell = () => { document.cookie = `narrow=${phone.matches}; path=/; SameSite=Lax; max-age=31536000`; };
tell();
phone.addEventListener("change", tell);

const volts = () => document.getElementById("volts");

document.addEventListener("keydown", event => {
  const field = event.target;
  if (field.id === "volts" && event.key === "b" && field.value === "") {
    event.preventDefault();
    field.value = "b";
    field.form.requestSubmit();
  }
});

document.body.addEventListener("htmx:afterSwap", event => {
  if (event.detail.target.id === "live") {
    htmx.trigger(document.body, "live-changed");
  }
  // Only the answer to a reading: the audit, and what others read, come while the next one is being typed.
  if (event.detail.target.id === "walk-head" && event.detail.requestConfig.verb === "post") {
    const next = document.querySelector(".walk .choice") ?? volts();
    next?.focus({ preventScroll: true });
    if (next === volts()) {
      next?.select();
    }
  }
});

// After a reading the page has the drawing already: only what the points say is new.
document.body.addEventListener("htmx:afterSwap", () => {
  const head = document.getElementById("walk-head");
  if (!head?.dataset.probes) {
    return;
  }
  const views = new Map(JSON.parse(head.dataset.probes).map(view => [view.typed, view]));
  delete head.dataset.probes;
  document.querySelectorAll(".schematic .probe").forEach(probe => {
    const view = views.get(probe.dataset.node);
    const look = view && `probe ${view.look}${view.typed === head.dataset.at ? " here" : ""}`;
    if (view && (probe.getAttribute("class") !== look || probe.getAttribute("aria-label") !== view.says)) {
      probe.setAttribute("class", look);
      probe.setAttribute("aria-label", view.says);
      probe.querySelector("title").textContent = view.says;
      probe.querySelector(".dot").setAttribute("d", view.path);
    }
  });
  document.querySelectorAll(".schematic text[data-of]").forEach(text => {
    const view = views.get(text.dataset.of);
    const said = view && { volts: view.volts, how: view.how, all: `${view.volts} ${view.how}`.trim() }[text.dataset.figure];
    if (view && text.textContent !== said) {
      text.textContent = said;
    }
  });
  htmx.trigger(document.body, "walk-changed");
});
