// Somebody else, or another device, works on the same run: what they store stands here at once, and what is being typed here
// stays as it is. A question that was asked before that is marked, and a move that is no longer the next one.

import { isUnsent } from "./unsent.js";
import { words } from "./words.js";

// The part of the page that tells what is stored: a run, a walk round it, or its discharge.
const live = () => document.querySelector("[data-changes]");
const ANSWER = "#line-answer, #answer";
const fields = shown => [...shown.querySelectorAll("input:not([type=hidden]):not(#line), textarea, select")];

let line = null; // what tells of changes
let newest = 0; // the newest one that was told
let asking = false; // whether what is new is on its way
let asked = 0; // the newest change that was asked for
let sending = 0; // requests of our own that store something, or bring all of it with them
let pressing = false; // a finger or a key is down on something that is about to be replaced

function listen() {
  if (document.hidden || !live()) {
    line?.close();
    line = null;
  } else if (!line) {
    line = new EventSource(live().dataset.changes);
    line.addEventListener("changed", event => {
      newest = Math.max(newest, Number(event.data));
      look();
    });
    // A connection that was refused for good, as while the database is away, is asked for again.
    line.addEventListener("error", () => {
      if (line?.readyState === EventSource.CLOSED) {
        line = null;
        setTimeout(listen, 2000);
      }
    });
  }
}

document.addEventListener("visibilitychange", listen);
// A page that is left and gone back to has slept.
addEventListener("pagehide", () => { line?.close(); line = null; });
addEventListener("pageshow", listen);

function look() {
  const shown = live();
  if (!shown || asking || sending > 0 || pressing || isUnsent() || newest < Number(shown.dataset.notSeenFrom)) {
    return;
  }
  if (shown.querySelector(ANSWER)) {
    mark(shown.querySelector(ANSWER));
    sayBeside(shown);
    return;
  }
  asking = true;
  asked = newest;
  newest = 0;
  htmx.ajax("GET", shown.dataset.now, { target: `#${shown.id}`, swap: "outerHTML" }).catch(() => null).finally(() => {
    asking = false;
    look();
  });
}

function mark(answer) {
  if (!document.getElementById("overtaken")) {
    answer.before(Object.assign(overtaken(words.overtaken), { id: "overtaken" }));
  }
}

// A question stays as it was asked; where the amp stands, and what to do, is said as it is now.
const SAID = [".sentence", ".glance", ".move"];
let told = 0; // the newest change that was said beside a question

async function sayBeside(shown) {
  if (newest <= told) {
    return;
  }
  told = newest;
  const answer = await fetch(shown.dataset.now).then(now => now.ok ? now.text() : "").catch(() => "");
  const now = new DOMParser().parseFromString(answer, "text/html");
  if (!now.querySelector("[data-changes]") || !shown.querySelector(ANSWER)) {
    return;
  }
  for (const part of SAID) {
    const old = shown.querySelector(part);
    const next = now.querySelector(part);
    if (old && next && old.textContent !== next.textContent) {
      old.replaceWith(next);
    } else if (old && !next) {
      old.remove();
    }
  }
}

function overtaken(...says) {
  const said = document.createElement("p");
  said.className = "overtaken";
  said.setAttribute("role", "status");
  said.append(...says);
  return said;
}

const toLive = event => live() !== null && event.detail.target?.id === live().id;
// What is asked for here; a practice bench asks for the same after one's own doing.
const ofOthers = event => toLive(event) && event.detail.requestConfig?.elt === document.body;
const isOwn = event => !ofOthers(event) && (toLive(event) || event.detail.requestConfig?.verb === "post");

document.body.addEventListener("htmx:beforeRequest", event => { sending += isOwn(event) ? 1 : 0; });
document.body.addEventListener("htmx:afterRequest", event => {
  if (isOwn(event)) {
    sending--;
    setTimeout(look);
  }
});

for (const [down, up] of [["pointerdown", "pointerup"], ["keydown", "keyup"]]) {
  document.addEventListener(down, event => { pressing = Boolean(event.target.closest?.("[data-changes] :is(button, summary, a)")); }, true);
  document.addEventListener(up, () => { pressing = false; setTimeout(look); }, true);
}
document.addEventListener("pointercancel", () => { pressing = false; setTimeout(look); }, true);

// What was opened, typed or chosen in the part that is replaced; the entry line sees to itself.
const name = part => part.id || `${part.closest("form")?.getAttribute("action")} ${part.name}`;
const sameName = (part, of) => part.tagName === of.tagName && name(part) === of.name;
let before = null;
let old = null; // the move that is no longer the next one, and why

// What is on its way may have been overtaken itself: by an answer to us that is newer, or by a hand that is about to press.
function isOfUse(answer) {
  const seen = /data-not-seen-from="(\d+)"/.exec(answer);
  return sending === 0 && !pressing && !isUnsent() && !live().querySelector(ANSWER)
    && seen && Number(seen[1]) >= Number(live().dataset.notSeenFrom);
}

// Before anybody else prepares for a swap that is then none.
document.addEventListener("htmx:beforeSwap", event => {
  before = null;
  if (!toLive(event) || !event.detail.shouldSwap) {
    return;
  }
  if (!ofOthers(event)) {
    old = null;
    return;
  }
  if (!isOfUse(event.detail.xhr.responseText)) {
    event.detail.shouldSwap = false;
    newest = Math.max(newest, asked);
    return;
  }
  const shown = live();
  const at = document.activeElement;
  before = {
    // What works by itself, as a recording that is going on, is taken out and put back as it is.
    whole: [...shown.querySelectorAll("[data-whole]")],
    opened: [...shown.querySelectorAll("details[open]")].map(each => each.className + each.querySelector("summary").textContent),
    typed: fields(shown).map(part => ({
      tagName: part.tagName, name: name(part), value: part.value, files: part.files, checked: part.checked,
      // Whoever measures here does not change because somebody else has measured.
      changed: part.id === "by" || part.value !== part.defaultValue || part.checked !== part.defaultChecked,
    })).filter(part => part.changed),
    caret: shown.contains(at) && at.id && at.selectionStart !== undefined ? [at.id, at.selectionStart, at.selectionEnd] : null,
    again: shown.querySelector(".line .again"),
    move: shown.querySelector(".move .move-sentence")?.textContent,
    last: shown.querySelector(".log li")?.textContent,
  };
  before.whole.forEach(part => part.remove());
}, true);

document.body.addEventListener("htmx:afterSwap", event => {
  if (!ofOthers(event) || !before) {
    return;
  }
  const shown = live();
  before.whole.forEach(part => document.getElementById(part.id)?.replaceWith(part));
  for (const part of shown.querySelectorAll("details")) {
    part.open ||= before.opened.includes(part.className + part.querySelector("summary").textContent);
  }
  for (const part of fields(shown)) {
    const was = before.typed.find(each => sameName(part, each));
    if (was?.files?.length) {
      part.files = was.files;
    } else if (was && part.type !== "file") {
      part.value = was.value;
      part.checked = was.checked;
    }
  }
  if (before.caret) {
    const [id, ...range] = before.caret;
    const field = document.getElementById(id);
    field?.focus({ preventScroll: true });
    if (field?.selectionStart !== null) {
      field?.setSelectionRange(...range);
    }
  }
  if (before.again) {
    shown.querySelector("form.line")?.append(before.again);
  }
  const move = shown.querySelector(".move .move-sentence");
  if (before.move && before.move !== move?.textContent) {
    old = { move: before.move, why: who(shown.querySelector(".log li"), before.last) };
  }
  if (old && old.move !== move?.textContent) {
    tellOld(move?.closest(".move") ?? shown.querySelector(".now .sentence"));
  }
  before = null;
});

const who = (entry, last) => entry && entry.textContent !== last
  ? [entry.querySelector(".by")?.textContent, entry.querySelector(".typed")?.textContent].filter(Boolean).join(": ") : "";

function tellOld(next) {
  const struck = Object.assign(document.createElement("s"), { textContent: old.move });
  next?.before(overtaken(words.noLonger + " ", struck, old.why && ` (${old.why})`));
}

listen();
