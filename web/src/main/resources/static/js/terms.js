// The first of each word of the trade on a page can be touched: what it means opens where one is.

import { words } from "./words.js";

const NOT_IN = "a, button, label, summary, input, textarea, select, svg, code, kbd, h1, dialog, template, [aria-live], .no-terms";

const tokens = new Map(words.terms.split(";").flatMap(each => {
  const [token, said] = each.split(":");
  return said.split("|").map(word => [word.toLowerCase(), token]);
}));
const letters = word => word.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
const any = new RegExp(`(?<![\\w-])(${[...tokens.keys()].sort((a, b) => b.length - a.length).map(letters).join("|")})(?![\\w-])`, "i");

function mark(part) {
  const marked = new Set([...document.querySelectorAll("[data-term]")].map(each => each.dataset.term));
  const texts = document.createTreeWalker(part, NodeFilter.SHOW_TEXT);
  const found = [];
  while (texts.nextNode()) {
    if (any.test(texts.currentNode.data) && !texts.currentNode.parentElement?.closest(NOT_IN)) {
      found.push(texts.currentNode);
    }
  }
  for (const text of found) {
    const word = any.exec(text.data);
    const token = tokens.get(word[0].toLowerCase());
    if (!marked.has(token)) {
      marked.add(token);
      const here = text.splitText(word.index);
      here.splitText(word[0].length);
      const term = Object.assign(document.createElement("a"), { className: "term", href: `/glossary#${token}` });
      term.dataset.term = token;
      here.replaceWith(term);
      term.append(here);
    }
  }
}

document.addEventListener("click", event => {
  const term = event.target.closest("a.term");
  if (term) {
    event.preventDefault();
    htmx.ajax("GET", `/glossary/${term.dataset.term}`, { target: "#term", swap: "innerHTML" });
  }
});
document.body.addEventListener("htmx:afterSwap", event => {
  if (event.detail.target.id === "term" && !event.detail.target.open) {
    event.detail.target.showModal();
  }
});
document.body.addEventListener("htmx:afterSettle", event => mark(event.target));
mark(document.getElementById("main"));
