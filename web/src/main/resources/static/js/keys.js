// Every action of a run has a key; what bears one of its own (data-press) goes before. They work outside fields; in the
// entry line only ? while it is empty.

import { words } from "./words.js";
import { showKeys } from "./points.js";

const find = selector => document.querySelector(selector);
const press = selector => { const it = find(selector); it?.click(); return Boolean(it); };

const actions = {
  "/": () => { find("#line")?.focus(); return true; },
  "?": () => { find("#keys").showModal(); return true; },
  u: () => press(".log li:not(.struck) .strike"),
  t: () => press(".tick-box[aria-checked=false]"),
  d: () => press("#done"),
  k: () => { const skip = find(".skip-it"); if (skip) { skip.open = true; find("#why").focus(); } return Boolean(skip); },
  r: () => press("#reopen"),
  n: () => press("#walk-round"),
  g: showKeys,
  a: () => across(),
  v: () => speak(),
  m: () => press("#from-meter"),
  y: () => press("#soak-scale"),
  o: () => press(".open-verdict"),
  c: () => press("#compare"),
  p: () => press("#bench-power"),
  ",": () => nudge(-1),
  ".": () => nudge(1),
  w: () => press("#wait-minute"),
  e: () => press("#swap"),
  l: () => { const say = find(".say-it"); if (say) { say.open = true; find("#said").focus(); } return Boolean(say); },
  f: () => { find("#probe-V1")?.focus(); return Boolean(find("#probe-V1")); },
  h: () => press("#show-me"),
  x: () => press("#close button"),
  b: () => press(".brand"),
};

document.addEventListener("keydown", event => {
  if (event.ctrlKey || event.altKey || event.metaKey) {
    return;
  }
  const field = event.target.closest("input, textarea, select");
  if (field && field.type !== "range") {
    if (event.key === "Escape") {
      field.blur();
    }
    if ((event.key === "?" || event.key === "/") && field.id === "line" && !field.value) {
      event.preventDefault();
      actions[event.key]();
    }
    return;
  }
  if (find("dialog[open]")) {
    return;
  }
  const own = find(`.proof [data-press="${CSS.escape(event.key)}"]:not([hidden])`);
  if (own) {
    event.preventDefault();
    own.click();
    return;
  }
  const node = find(`.rail a[data-key="${event.key}"]`);
  if (node || Object.hasOwn(actions, event.key) && actions[event.key]()) {
    event.preventDefault();
    node?.click();
  }
});

document.addEventListener("click", event => {
  if (event.target.closest("[data-keys]")) {
    actions["?"]();
  } else if (event.target.closest("[data-speak]")) {
    speak();
  } else if (event.target.closest("[data-print]")) {
    print();
  } else if (event.target.closest("[data-across]")) {
    across();
  }
});

// The one figure to watch, as large as the screen allows.
function across() {
  const move = find(".move-sentence");
  const dialog = find("#across");
  if (!dialog) {
    return press("[data-large]");
  }
  const verdict = find(".sentence");
  const watch = move?.dataset.watch;
  const display = find("#display");
  const onIt = display && display.dataset.where === move?.dataset.point;
  dialog.querySelector(".across-what").textContent = watch ? words.turnUntil.replace("%s", move.dataset.point) : "";
  dialog.querySelector(".across-figure").textContent = watch || move?.textContent || verdict?.textContent || "";
  dialog.querySelector(".across-figure").classList.toggle("words", !watch);
  dialog.querySelector(".across-now").textContent = watch ? words.now.replace("%s", onIt ? display.dataset.reading : move.dataset.now) : "";
  if (!dialog.open) {
    dialog.showModal();
  }
  return true;
}

// By the browser's own voice, where it has one.
function speak() {
  const said = find(".move-sentence")?.textContent ?? find(".sentence")?.textContent;
  if (!said || !window.speechSynthesis) {
    return false;
  }
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(said.replace(/ mV\b/g, " millivolts").replace(/ mA\b/g, " milliamps").replace(/ V\b/g, " volts")));
  return true;
}

function nudge(by) {
  const knob = find("#practice input[type=range]");
  if (!knob) {
    return false;
  }
  knob.value = Number(knob.value) + by;
  knob.dispatchEvent(new Event("change", { bubbles: true }));
  return true;
}

document.body.addEventListener("htmx:afterSwap", () => {
  if (find("#across")?.open) {
    across();
  }
});

// A file dropped anywhere on a run goes to its field.
document.addEventListener("dragover", event => { if (find("#csv")) { event.preventDefault(); } });
document.addEventListener("drop", event => {
  const field = find("#csv");
  if (field && event.dataTransfer.files.length) {
    event.preventDefault();
    field.files = event.dataTransfer.files;
    field.focus();
  }
});

// The browser puts the hand where it begins with the first picture only; a key that is quicker would be one of the page's.
if (document.activeElement === document.body && !location.hash) {
  find("[autofocus]")?.focus();
}
// From here on every key counts.
document.documentElement.dataset.listening = "yes";

// What is typed into a field with a list replaces what stands there: else the list offers only that.
document.addEventListener("focusin", event => {
  if (event.target.matches("input[list]")) {
    event.target.select();
  }
});
