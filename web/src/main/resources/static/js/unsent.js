// What could not be sent, because the application or its database was away, is sent again by itself when they are back: under
// the number it had, so that what was stored although no answer came is not stored twice.

import { words } from "./words.js";

const LOOK_EVERY = 1000; // ms

export const number = () => crypto.randomUUID?.() ?? ([1e7] + -1e3 + -4e3 + -8e3 + -1e11).replace(/[018]/g,
  digit => (digit ^ crypto.getRandomValues(new Uint8Array(1))[0] & 15 >> digit / 4).toString(16));

let looking = null; // a promise while somebody waits

/** Resolves once the application and its database answer. */
export function back() {
  looking ??= new Promise(resolve => {
    const look = async () => {
      const answer = await fetch("/actuator/health", { cache: "no-store", signal: AbortSignal.timeout?.(4000) }).catch(() => null);
      if (answer?.ok) {
        looking = null;
        resolve();
      } else {
        setTimeout(look, LOOK_EVERY);
      }
    };
    setTimeout(look, LOOK_EVERY);
  });
  return looking;
}

const isSentAway = event => event.detail.xhr?.status === 401;
const told = answer => answer.getResponseHeader("Content-Type")?.includes("json") ? JSON.parse(answer.responseText).detail : answer.responseText;

/** Whether a request failed because nobody was there: no answer at all, or one that says so, or none for this device. */
export const isAway = event => event.type === "htmx:sendError" || event.detail.xhr?.status === 503 || isSentAway(event);

/** What the application said of it, or that it said nothing. */
export const why = event => isAway(event) && event.detail.xhr?.status && told(event.detail.xhr) || words.notStored;

// A whole form that is sent gets a number as it goes.
document.addEventListener("submit", event => {
  const form = event.target;
  if (form.method !== "post" || form.hasAttribute("hx-post") || event.submitter?.hasAttribute("hx-post")) {
    return;
  }
  let field = form.querySelector("input[name=once]");
  if (!field) {
    field = document.createElement("input");
    field.type = "hidden";
    field.name = "once";
    form.append(field);
  }
  if (!form.dataset.whenBack) {
    field.value = number();
  }
});

// A piece of a page gets its number in a header. The lines of a run have their own.
const unsent = new Map(); // what sends -> the number under which it was sent

/** Whether something on the page still waits to be sent. */
export const isUnsent = () => [...unsent.keys()].some(elt => elt.isConnected);

document.body.addEventListener("htmx:configRequest", event => {
  if (event.detail.verb !== "post" || event.target.matches("form.line, form.line *")) {
    return;
  }
  const before = unsent.get(event.detail.elt);
  event.detail.headers["X-Once"] = before ?? number();
  if (before) {
    event.detail.headers["X-Again"] = "yes";
    unsent.delete(event.detail.elt);
  }
});

for (const failure of ["htmx:sendError", "htmx:responseError"]) {
  document.body.addEventListener(failure, async event => {
    const sent = event.detail.requestConfig;
    if (sent?.verb !== "post" || !sent.headers["X-Once"] || !isAway(event)) {
      return;
    }
    const elt = event.detail.elt;
    unsent.set(elt, sent.headers["X-Once"]);
    tell(elt.closest("form"), why(event));
    await back();
    document.querySelectorAll(".unsent").forEach(each => each.remove());
    if (elt.isConnected && unsent.has(elt)) {
      if (elt instanceof HTMLFormElement) {
        elt.requestSubmit();
      } else {
        htmx.trigger(elt, sent.triggeringEvent?.type ?? "click");
      }
    }
  });
}

// The entry line, where there is one, tells of itself.
function tell(form, text) {
  if (form && !document.querySelector("form.line") && !form.querySelector(".unsent")) {
    (form.querySelector(".input-group") ?? form.lastElementChild).after(
      Object.assign(document.createElement("p"), { className: "fault unsent", role: "alert", textContent: text }));
  }
}

// The page that stands in for another while the database is away.
const standIn = document.querySelector("[data-when-back]");
if (standIn) {
  back().then(() => standIn.dataset.whenBack === "send" ? standIn.requestSubmit() : location.reload());
}
