// The leads of the ratio bench: two that are touched are the pair that was read. The page works without it: the pair is typed.

const bench = () => document.getElementById("bench");

/** In the order they were touched. */
let chosen = [];

function choose(lead) {
  const name = lead.dataset.lead;
  chosen = chosen.includes(name) ? chosen.filter(each => each !== name) : [...chosen.slice(chosen.length > 1 ? 2 : 0), name];
  bench().querySelectorAll(".lead").forEach(each => each.setAttribute("aria-pressed", String(chosen.includes(each.dataset.lead))));
  if (chosen.length === 2) {
    document.getElementById("pair").value = chosen.join("-");
    document.getElementById("value").focus();
  }
}

document.addEventListener("click", event => {
  const lead = event.target.closest(".leads .lead");
  if (lead) {
    choose(lead);
  }
});

document.addEventListener("keydown", event => {
  const lead = event.target.closest?.(".leads .lead");
  if (lead && (event.key === "Enter" || event.key === " ")) {
    event.preventDefault();
    choose(lead);
  }
});

// Another set of leads is drawn at once.
document.addEventListener("change", event => {
  if (event.target.id === "leads") {
    event.target.form.requestSubmit();
  }
});

// What was read is drawn anew: the hand goes on where it was.
document.body.addEventListener("htmx:afterSwap", event => {
  if (event.detail.target.id === "bench" || event.detail.elt?.id === "bench") {
    chosen = [];
    const fault = bench().querySelector("[aria-invalid=true]");
    (fault ?? bench().querySelector(".lead")).focus({ preventScroll: true });
  }
});

// A hook-up is put together of pieces, as it would be typed.
document.addEventListener("click", event => {
  const piece = event.target.closest("[data-piece]")?.dataset.piece;
  if (piece !== undefined) {
    const field = document.getElementById("cabinet");
    field.value = piece === "" ? "" : field.value + piece;
    field.focus();
  }
});
