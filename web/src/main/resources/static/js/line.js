// The entry line of a run. A line that is typed, or sent, while the one before it is on its way waits for that one's answer;
// what the application did not take stands in the field again.

import { back, isAway, number, why } from "./unsent.js";
import { words } from "./words.js";

const OLD = 10 * 60 * 1000; // ms after which a line may no longer tell of what is on the bench

const field = () => document.getElementById("line");
const path = event => event.detail.requestConfig?.path ?? "";
const isLine = event => /\/runs\/\d+\/(readings|meter)$/.test(path(event));
const isLive = event => event.detail.target?.id === "live";

let sent = null; // what is on its way; null for nothing
let half = ""; // what was being typed when an answer came
let aside = null; // what that answer is about, while something else is being typed; null for nothing
let away = false; // whether nobody was there to take the last one
let again = null; // the one that was sent again last
let waiting = []; // what was sent meanwhile, or could not be sent
// A line: its text, the number under which it is stored once, and when it was typed

// What stands in the field because the application put it there is its own.
const typed = () => field() && field().value !== field().defaultValue ? field().value : "";

document.addEventListener("submit", event => {
  if (!event.target.matches("form.line") || sent === null && aside === null && !away) {
    return;
  }
  const plain = !event.submitter?.name && event.submitter?.id !== "from-meter";
  if (sent === null && !plain && !away) {
    half = field().value;
    field().value = aside;
    aside = null;
    return;
  }
  event.preventDefault();
  event.stopPropagation();
  if (plain && field().value.trim()) {
    waiting.push(keep({ text: field().value, form: number(), at: Date.now() }));
    field().value = aside ?? "";
    aside = null;
    field().select();
    tellWaiting();
  }
}, true);

document.body.addEventListener("htmx:beforeRequest", event => {
  if (isLine(event)) {
    const form = event.detail.requestConfig.parameters.form;
    // Sent again it is as old as it was.
    sent = { text: field().value, form, at: again?.form === form ? again.at : Date.now() };
    if (/readings$/.test(path(event)) && sent.text.trim()) {
      keep(sent);
    }
    field().value = half;
    field().placeholder = sent.text;
    half = "";
  }
});

document.body.addEventListener("htmx:beforeSwap", event => {
  if (isLive(event) && event.detail.shouldSwap) {
    half = typed() || half;
    aside = null;
  }
});

document.body.addEventListener("htmx:afterSwap", event => {
  if (isLive(event) && field() && half) {
    aside = field().value || null;
    field().value = half;
    half = "";
  }
});

// A question or a fault has the field: the others wait for what becomes of it, and their Enter does not answer it.
document.body.addEventListener("htmx:afterSettle", event => {
  if (!isLive(event)) {
    return;
  }
  if (isLine(event) && sent !== null) {
    drop(sent);
    sent = null;
  }
  const line = field();
  if (line && sent === null && !away && waiting.length > 0 && !line.defaultValue) {
    sendNext(line);
  } else if (aside !== null) {
    line.focus();
  } else if (line?.defaultValue && waiting.length > 0) {
    line.select();
  }
  tellWaiting();
});

// A line that was typed long ago is not sent by itself: what it tells may no longer be so.
function sendNext(line) {
  const next = waiting.shift();
  again = next;
  half = line.value;
  line.value = next.text;
  line.form.elements.form.value = next.form;
  const minutes = Math.round((Date.now() - next.at) / 60000);
  if (Date.now() - next.at < OLD) {
    line.form.requestSubmit();
  } else {
    line.defaultValue = next.text;
    line.select();
    // What is typed in its place is another line.
    line.addEventListener("input", () => { drop(next); line.form.elements.form.value = number(); }, { once: true });
    note("line-answer", "fault", words.old.replace("%s", minutes));
  }
}

function tellWaiting() {
  document.getElementById("waiting")?.remove();
  if (waiting.length > 0) {
    note("waiting", "small mt-2 mb-0", `${away ? words.unsent : words.waiting} ${waiting.map(each => each.text).join(" \u00b7 ")}`);
  }
}

// What was not answered outlasts the page, and the phone's sleep.
const SHELF = "unsent:" + location.pathname + ":";

function keep(line) {
  try {
    localStorage.setItem(SHELF + line.form, JSON.stringify(line));
  } catch {
    // a browser that keeps nothing has it on the page
  }
  return line;
}

function drop(line) {
  localStorage.removeItem(SHELF + line.form);
}

const kept = () => Object.keys(localStorage).filter(key => key.startsWith(SHELF))
  .map(key => JSON.parse(localStorage.getItem(key))).sort((one, other) => one.at - other.at);

async function wait() {
  away = true;
  tellWaiting();
  await back();
  away = false;
  document.getElementById("not-stored")?.remove();
  if (field() && waiting.length > 0 && sent === null) {
    sendNext(field());
  }
  tellWaiting();
}

if (field()) {
  waiting = kept();
  if (waiting.length > 0) {
    wait();
  }
}

function note(id, look, text) {
  const form = document.querySelector("form.line");
  let said = document.getElementById(id);
  if (form && !said) {
    said = document.createElement("p");
    said.id = id;
    form.append(said);
  }
  if (said) {
    said.className = look;
    said.setAttribute("role", look === "fault" ? "alert" : "status");
    said.textContent = text;
  }
}

// As soon as the answer is in, the cursor stands where the next key belongs: on the answer to a question, or on the line.
// Not later: the next reading may be half typed by then. What looks on by itself (alarms, curves) moves no cursor.
document.body.addEventListener("htmx:afterSwap", event => {
  if (document.getElementById("opened")?.open || !/\/runs\/\d+\/(readings|meter|strike)$/.test(path(event))) {
    return;
  }
  const next = (aside === null ? document.querySelector("#live .choice") : null) ?? field();
  next?.focus();
  if (next?.id === "line" && next.defaultValue && aside === null) {
    next.select();
  }
});

// What nobody took is kept, and sent by itself when there is somebody again; what was refused stands in the field again.
for (const failure of ["htmx:sendError", "htmx:responseError"]) {
  document.body.addEventListener(failure, event => {
    const sends = event.detail.requestConfig;
    if (/\/(display|live)(\?|$)/.test(sends?.path ?? "")) {
      return;
    }
    note("not-stored", "fault", isAway(event) ? why(event) : words.notStored);
    if (!isLine(event) || sent === null || !field()) {
      return;
    }
    const failed = sent;
    sent = null;
    if (isAway(event) && failed.text.trim()) {
      waiting.unshift(failed);
      field().value = field().value || half;
      half = "";
      wait();
    } else {
      drop(failed);
      half = field().value || half;
      field().value = failed.text;
      tellWaiting();
    }
  });
}
