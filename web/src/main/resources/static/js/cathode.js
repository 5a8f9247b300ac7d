// The crossing of a cathode resistor, dragged. The page works without it: the field and Compute do the same.

import { drawsOnChange, focusKeeper, onRelease, redrawer } from "./redraw.js";

const form = document.getElementById("knobs");
const drawn = document.getElementById("drawn");

const focused = focusKeeper(drawn, handle => drawn.querySelector(handle));
const draw = redrawer(form, drawn, { done: focused.restore });

const E24 = [10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91, 100];

/** The standard value next to some ohms; the next of them up or down from there. */
function standard(ohms, steps = 0) {
  const decade = 10 ** Math.floor(Math.log10(ohms) - 1);
  let i = E24.reduce((best, value, at) =>
    Math.abs(Math.log(value * decade / ohms)) < Math.abs(Math.log(E24[best] * decade / ohms)) ? at : best, 0) + steps;
  const up = Math.floor(i / 24);
  i -= 24 * up;
  return Number((E24[i] * decade * 10 ** up).toPrecision(2));
}

function take(ohms) {
  const value = String(Math.max(5, Math.min(20000, ohms)));
  if (form.elements.own.value !== value) {
    form.elements.own.value = value;
    draw(true);
  }
}

let held = null;

drawn.addEventListener("pointerdown", event => {
  if (event.target.closest(".handle")) {
    const { frame, volts, milliamps } = document.getElementById("chart").dataset;
    // The scale stands still under the finger; it fits itself again when that lets go.
    held = { frame: frame.split(" ").map(Number), volts: Number(volts), milliamps: Number(milliamps) };
    drawn.setPointerCapture(event.pointerId);
    event.preventDefault();
  }
});

drawn.addEventListener("pointermove", event => {
  if (!held) {
    return;
  }
  const box = document.getElementById("chart").getBoundingClientRect();
  const [width, height, left, right, top, bottom] = held.frame;
  const x = (event.clientX - box.left) * width / box.width - left;
  const y = height - bottom - (event.clientY - box.top) * height / box.height;
  const volts = Math.max(x, 1) / (width - left - right) * held.volts;
  const milliamps = Math.max(y, 1) / (height - top - bottom) * held.milliamps;
  take(standard(1000 * volts / milliamps));
});

onRelease(drawn, () => {
  if (held) {
    held = null;
    draw(false);
  }
});

drawn.addEventListener("keydown", event => {
  const by = { ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1 }[event.key];
  if (event.target.closest?.(".handle") && by) {
    event.preventDefault();
    focused.keep(".handle");
    const { frame, volts, milliamps } = document.getElementById("chart").dataset;
    const [width, height, left, right, top, bottom] = frame.split(" ").map(Number);
    const [x, y] = event.target.closest(".handle").getAttribute("transform").match(/[-\d.]+/g).map(Number);
    const ohms = 1000 * (x - left) / (width - left - right) * volts / ((height - bottom - y) / (height - top - bottom) * milliamps);
    take(standard(ohms, by));
  }
});

drawsOnChange(form, draw);
