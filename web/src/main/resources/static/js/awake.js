// Keeps the screen on while a run is open and somebody works on it: a phone that lies beside the amp shows its figure.

const UNTOUCHED = 60 * 60 * 1000; // ms; then the screen may go off

let held = null; // the browser's promise to keep it on
let touched = Date.now();

const isWanted = () => document.visibilityState === "visible" && document.querySelector("form.line")
  && Date.now() - touched < UNTOUCHED;

async function look() {
  if (!isWanted()) {
    await held?.release();
  } else if (!held) {
    held = await navigator.wakeLock?.request("screen").catch(() => null);
    held?.addEventListener("release", () => { held = null; });
  }
}

const touch = () => { touched = Date.now(); look(); };

for (const each of ["pointerdown", "keydown", "visibilitychange"]) {
  document.addEventListener(each, touch);
}
document.body.addEventListener("htmx:afterSwap", look);
setInterval(look, 60 * 1000);
look();
