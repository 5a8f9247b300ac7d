// The entry line of a run. A line that is typed, or sent, while the one before it is on its way waits for that one's answer;
// what the application did not take stands in the field again.

import { words } from "./words.js";

const field = () => document.getElementById("line");
const path = event => event.detail.requestConfig?.path ?? "";
const isLine = event => /\/runs\/\d+\/(readings|meter)$/.test(path(event));
const isLive = event => event.detail.target?.id === "live";

let sent = null; // what is on its way; null for nothing
let half = ""; // what was being typed when an answer came
let aside = null; // what that answer is about, while something else is being typed; null for nothing
const waiting = []; // what was sent meanwhile

// What stands in the field because the application put it there is its own.
const typed = () => field() && field().value !== field().defaultValue ? field().value : "";

document.addEventListener("submit", event => {
  if (!event.target.matches("form.line") || sent === null && aside === null) {
    return;
  }
  const plain = !event.submitter?.name && event.submitter?.id !== "from-meter";
  if (sent === null && !plain) {
    half = field().value;
    field().value = aside;
    aside = null;
    return;
  }
  event.preventDefault();
  event.stopPropagation();
  if (plain && field().value.trim()) {
    waiting.push(field().value);
    field().value = aside ?? "";
    aside = null;
    field().select();
    tellWaiting();
  }
}, true);

document.body.addEventListener("htmx:beforeRequest", event => {
  if (isLine(event)) {
    sent = field().value;
    field().value = half;
    field().placeholder = sent;
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
  if (isLine(event)) {
    sent = null;
  }
  const line = field();
  if (line && sent === null && waiting.length > 0 && !line.defaultValue) {
    half = line.value;
    line.value = waiting.shift();
    line.form.requestSubmit();
  } else if (aside !== null) {
    line.focus();
  } else if (line?.defaultValue && waiting.length > 0) {
    line.select();
  }
  tellWaiting();
});

function tellWaiting() {
  document.getElementById("waiting")?.remove();
  if (waiting.length > 0) {
    note("waiting", "small mt-2 mb-0", `${words.waiting} ${waiting.join(" \u00b7 ")}`);
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

// What was typed stays when the application cannot be reached, and that is said.
for (const failure of ["htmx:sendError", "htmx:responseError"]) {
  document.body.addEventListener(failure, event => {
    if (/\/display$/.test(event.detail.requestConfig?.path ?? "")) {
      return;
    }
    if (isLine(event) && sent !== null && field()) {
      half = field().value || half;
      field().value = sent;
      sent = null;
    }
    note("not-stored", "fault", words.notStored);
    tellWaiting();
  });
}
