// The page works without this: it only opens verdicts in place, sends the theme back to where one was,
// and puts the cursor back on the entry line.

import "./awake.js";
import "./guide.js";
import "./line.js";
import "./others.js";
import "./terms.js";
import "./unsent.js";
import "./walk.js";
import { words } from "./words.js";

const opened = document.getElementById("opened");

// On a phone the line lies below what is to be read first: the cursor may stand in it, but the page begins at its top.
if (matchMedia("(max-width: 700px)").matches && !location.hash) {
  addEventListener("load", () => requestAnimationFrame(() => requestAnimationFrame(() => scrollTo(0, 0))));
}

// What the server takes back.
const LONGEST_ADDRESS = 2000;

document.addEventListener("submit", event => {
  const field = event.target.querySelector("[data-here]");
  if (field) {
    const here = location.pathname + location.search;
    field.value = here.length <= LONGEST_ADDRESS ? here : location.pathname;
  }
});

// Until a theme is chosen the system's counts: offer the other one.
const theme = document.querySelector("button[name=theme]");
if (theme && !document.documentElement.dataset.theme && matchMedia("(prefers-color-scheme: dark)").matches) {
  theme.value = "light";
  theme.textContent = words.light;
}

document.body.addEventListener("htmx:afterSwap", event => {
  if (event.detail.target.id === "opened") {
    event.detail.target.showModal();
  }
});

// A choice that others follow from is on its way to be drawn again: saving waits for it. What is typed changes only when
// it is left, perhaps for this very button: then it follows as it is saved.
const save = () => document.getElementById("save");
document.body.addEventListener("change", event => {
  if (event.target.matches("#fields [hx-post]:not([list])")) {
    save().disabled = true;
  }
});
document.body.addEventListener("htmx:afterRequest", event => {
  if (event.detail.requestConfig?.path !== "/amps/drawn") {
    save()?.removeAttribute("disabled");
  }
});

// A box that is no longer ticked is missing among them: only the whole tells.
const choices = form => [...new Set([...form].filter(([name]) => name !== "changed").map(([name, value]) => `${name}=${value}`))].sort().join("\n");

// An answer that was overtaken, because something else was chosen or typed while it was on its way, is not drawn: it would
// take that back. It is asked for again.
document.body.addEventListener("htmx:beforeSwap", event => {
  const sent = event.detail.requestConfig;
  if (sent?.path !== "/amps/form") {
    return;
  }
  if (choices(new FormData(save().form)) !== choices(sent.formData)) {
    event.detail.shouldSwap = false;
    htmx.trigger(sent.elt, sent.triggeringEvent?.type ?? "change");
  }
});

document.body.addEventListener("click", event => {
  if (event.target.closest("dialog [data-close]")) {
    event.preventDefault();
    opened.close();
  }
});
