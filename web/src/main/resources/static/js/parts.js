// Drags on the scales of an amp's parts. The page works without it: the fields and Compute do the same.
// What is dragged takes the nearest value that is sold; the server draws.

import { drawsOnChange, focusKeeper, onRelease, redrawer } from "./redraw.js";

const form = document.getElementById("knobs");
const drawn = document.getElementById("drawn");

const focused = focusKeeper(drawn, field => drawn.querySelector(`[data-field="${field}"]`));
const draw = redrawer(form, drawn, { done: focused.restore });

const values = handle => handle.dataset.values.split(" ");
const places = handle => handle.dataset.places.split(" ").map(Number);

function nearest(handle, x) {
  const at = places(handle);
  return at.reduce((best, place, i) => Math.abs(place - x) < Math.abs(at[best] - x) ? i : best, 0);
}

function take(field, value) {
  if (form.elements[field].value !== value) {
    form.elements[field].value = value;
    draw(true);
  }
}

let held = null;

drawn.addEventListener("pointerdown", event => {
  const handle = event.target.closest(".handle");
  if (handle) {
    const svg = handle.closest("svg");
    held = { field: handle.dataset.field, handle, left: svg.getBoundingClientRect().left,
      scale: svg.viewBox.baseVal.width / svg.getBoundingClientRect().width };
    drawn.setPointerCapture(event.pointerId);
    event.preventDefault();
  }
});

drawn.addEventListener("pointermove", event => {
  if (held) {
    const i = nearest(held.handle, (event.clientX - held.left) * held.scale);
    take(held.field, values(held.handle)[i]);
  }
});

onRelease(drawn, () => {
  if (held) {
    held = null;
    draw(false);
  }
});

drawn.addEventListener("keydown", event => {
  const handle = event.target.closest?.(".handle");
  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
  if (handle && by) {
    event.preventDefault();
    focused.keep(handle.dataset.field);
    const here = Number(/[-\d.]+/.exec(handle.getAttribute("transform"))[0]);
    const i = Math.max(0, Math.min(values(handle).length - 1, nearest(handle, here) + by));
    take(handle.dataset.field, values(handle)[i]);
  }
});

drawsOnChange(form, draw);
