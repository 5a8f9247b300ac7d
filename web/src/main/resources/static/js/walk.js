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
  if (document.querySelector(".walk")) {
    const next = document.querySelector(".walk .choice") ?? volts();
    next?.focus({ preventScroll: true });
    if (next === volts()) {
      next?.select();
    }
  }
});
