// Parts of the bias bench: touched they lead to their field, dragged they change. The page works without it.
// What is dragged is written into the fields; the server solves and draws.

import { drawsOnChange, focusKeeper, onRelease, redrawer } from "./redraw.js";

const form = document.getElementById("knobs");
const drawn = document.getElementById("drawn");
const field = part => form.elements[part];

/** What stands below the fields: a quick answer leaves it as it is. */
const below = document.getElementById("below");

const focused = focusKeeper(drawn, part => drawn.querySelector(`[data-part="${part}"]`));

const draw = redrawer(form, drawn, {
  done: () => {
    const later = drawn.querySelector(".later");
    if (later.childElementCount > 0) {
      below.replaceChildren(later);
    } else {
      later.remove();
    }
    focused.restore();
  }
});

/** Preferred values, as the decade repeats them. */
const VALUES = [1, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1];
/** So many pixels are a decade. */
const DECADE = 160;
/** A track is as tall as that, in the drawing's own units. */
const TRACK = 64;

const number = text => Number(String(text).replace(/[^0-9.]/g, ""));
const written = value => String(Number(value.toPrecision(4)));

function preferred(value) {
  const decade = 10 ** Math.floor(Math.log10(value));
  const near = [...VALUES, 10].reduce((best, each) =>
    Math.abs(Math.log(each * decade / value)) < Math.abs(Math.log(best * decade / value)) ? each : best);
  return near * decade;
}

const isWiper = part => part.endsWith("wiper");

function change(part, from, by) {
  if (isWiper(part)) {
    field(part).value = written(Math.max(0, Math.min(100, from + by)));
  } else if (part === "winding") {
    field(part).value = written(Math.max(1, Math.min(1000, from * 10 ** by)));
  } else {
    field(part).value = written(Math.max(0.0047, Math.min(9100, preferred(from * 10 ** by))));
  }
}

// Drags

let held = null;

drawn.addEventListener("pointerdown", event => {
  const part = event.target.closest("[data-part]");
  if (!part || !field(part.dataset.part)) {
    return;
  }
  const circuit = part.closest(".circuit");
  const svg = part.closest("svg");
  const box = svg.getBoundingClientRect();
  const along = svg.id === "travel";
  held = {
    part: part.dataset.part, x: event.clientX, y: event.clientY, from: number(field(part.dataset.part).value), moved: false, along,
    sign: circuit.dataset.hotter === "down" ? 1 : -1,
    scale: svg.viewBox.baseVal.width / box.width, sideways: along || part.dataset.part === "balance-wiper"
  };
  drawn.setPointerCapture(event.pointerId);
  event.preventDefault();
});

drawn.addEventListener("pointermove", event => {
  if (!held) {
    return;
  }
  const dx = event.clientX - held.x;
  const dy = event.clientY - held.y;
  if (Math.abs(dx) + Math.abs(dy) > 3) {
    held.moved = true;
  }
  if (!held.moved || !(held.from > 0) && !isWiper(held.part)) {
    return;
  }
  if (isWiper(held.part)) {
    const length = held.along ? 620 : TRACK;
    change(held.part, held.from, 100 / length * held.scale * (held.sideways ? dx : held.sign * dy));
  } else {
    change(held.part, held.from, (dx - dy) / DECADE);
  }
  draw(true);
});

onRelease(drawn, () => {
  if (!held) {
    return;
  }
  const { part, moved } = held;
  held = null;
  if (moved) {
    draw(false);
  } else {
    field(part).focus();
    field(part).select?.();
  }
});

// Keys: the arrows change what is focused, Enter leads to its field.

drawn.addEventListener("keydown", event => {
  const part = event.target.closest?.("[data-part]")?.dataset.part;
  if (!part || !field(part)) {
    return;
  }
  const up = ["ArrowUp", "ArrowRight"].includes(event.key);
  if (up || ["ArrowDown", "ArrowLeft"].includes(event.key)) {
    event.preventDefault();
    focused.keep(part);
    change(part, number(field(part).value), (up ? 1 : -1) * (isWiper(part) ? 1 : 1 / 23));
    draw(true);
  } else if (event.key === "Enter") {
    event.preventDefault();
    field(part).focus();
    field(part).select?.();
  }
});

drawsOnChange(form, draw);
form.addEventListener("input", event => {
  if (event.target.matches("input:not([type=checkbox])")) {
    draw(true);
  }
});
