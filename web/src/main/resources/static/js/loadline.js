// Sliders and drags of the load line. The page works without it: the fields and Compute do the same.
// What is dragged is written into the fields; the server draws.

import { onRelease, redrawer } from "./redraw.js";

const form = document.getElementById("knobs");
const drawn = document.getElementById("drawn");
const field = name => form.elements[name];

const draw = redrawer(form, drawn, {
  // The scale stands still under the finger; it fits itself again when that lets go.
  quickly: query => {
    const chart = document.getElementById("chart");
    if (chart) {
      query.set("toVolts", chart.dataset.volts);
      query.set("toMilliamps", chart.dataset.milliamps);
    }
  },
  kept: ".sweeps, .kept",
  done: () => document.dispatchEvent(new CustomEvent("loadline:drawn"))
});

// Sliders

const number = text => Number(String(text).replace(/[^0-9.]/g, ""));

function place(slider) {
  const { from, to, log } = slider.dataset;
  const value = Math.min(Math.max(number(field(slider.dataset.for).value), from), to);
  slider.value = 1000 * (log === "true" ? Math.log(value / from) / Math.log(to / from) : (value - from) / (to - from));
}

function written(value) {
  return String(Number(value.toPrecision(value >= 100 ? 4 : 3)));
}

form.querySelectorAll("input[type=range]").forEach(slider => {
  place(slider);
  slider.addEventListener("input", () => {
    const { from, to, log } = slider.dataset;
    const part = slider.value / 1000;
    field(slider.dataset.for).value = written(log === "true" ? from * (to / from) ** part : Number(from) + (to - from) * part);
    draw(true);
  });
  slider.addEventListener("change", () => draw(false));
});

function placeAll() {
  form.querySelectorAll("input[type=range]").forEach(place);
}

form.addEventListener("change", event => {
  if (event.target.type !== "range") {
    placeAll();
    draw(false);
  }
});

form.addEventListener("submit", event => {
  event.preventDefault();
  placeAll();
  draw(false);
});

// Drags

let held = null;

function data(event) {
  const chart = document.getElementById("chart");
  const box = chart.getBoundingClientRect();
  const { frame, volts, milliamps, per, supply, rest } = chart.dataset;
  const [width, height, left, right, top, bottom] = frame.split(" ").map(Number);
  const x = (event.clientX - box.left) * width / box.width;
  const y = (event.clientY - box.top) * height / box.height;
  return { volts: (x - left) / (width - left - right) * volts,
    milliamps: (height - bottom - y) / (height - top - bottom) * milliamps, per: Number(per), supply: Number(supply), rest: 1000 * rest, most: Number(milliamps) };
}

drawn.addEventListener("pointerdown", event => {
  const handle = event.target.closest(".handle");
  if (handle) {
    held = handle.dataset.drag;
    drawn.setPointerCapture(event.pointerId);
    event.preventDefault();
  }
});

drawn.addEventListener("pointermove", event => {
  if (!held) {
    return;
  }
  const at = data(event);
  if (held === "idle") {
    field("idle").value = written(Math.max(0.5, Math.min(at.milliamps, at.most)));
    field("plates").value = written(Math.max(50, Math.min(at.volts, 1500)));
  } else {
    const slope = Math.max(at.supply - at.volts, 5) / Math.max(at.milliamps - at.rest, 1);
    field("load").value = written(Math.max(0.2, Math.min(slope * at.per, 100)));
  }
  placeAll();
  draw(true);
});

onRelease(drawn, () => {
  if (held) {
    held = null;
    draw(false);
  }
});

// Across the bench: the chart and the power as large as the window allows.

document.addEventListener("click", event => {
  if (event.target.closest("[data-large]")) {
    form.closest(".loadline").classList.toggle("large");
  }
});
