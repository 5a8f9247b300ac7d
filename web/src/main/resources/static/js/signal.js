// The tone drawn again when a field has changed, while the next one is already typed: only the drawing and what is said
// beside the fields are exchanged. Another shape has other fields. The page works without it: Draw does the same.

import { words } from "./words.js";

const form = document.getElementById("knobs");
const drawn = document.getElementById("drawn");

function exchange(old, fresh, into) {
  old?.remove();
  if (fresh) {
    into.append(fresh);
  }
}

let newest = 0;
/** Whether the fields are others than those that are drawn. */
let whole = false;

async function draw() {
  const mine = ++newest;
  const query = new URLSearchParams(new FormData(form));
  drawn.querySelector(".no-answer")?.remove();
  let text;
  try {
    text = await (await fetch(form.dataset.drawn + "?" + query)).text();
  } catch {
    drawn.insertAdjacentHTML("afterbegin", `<p class="fault no-answer" role="alert">${words.noAnswer}</p>`);
    return;
  }
  const fresh = new DOMParser().parseFromString(text, "text/html");
  if (mine !== newest) {
    return;
  }
  history.replaceState(null, "", location.pathname + "?" + query);
  if (whole) {
    whole = false;
    drawn.replaceChildren(...fresh.body.children);
    document.getElementById("shape").focus();
    return;
  }
  const row = drawn.firstElementChild;
  exchange(row.querySelector(".drawing"), fresh.querySelector(".drawing"), row);
  for (const field of row.querySelectorAll("input")) {
    const around = field.parentElement.parentElement;
    const fault = fresh.getElementById(field.id + "-fault");
    exchange(around.querySelector(".fault"), fault, around);
    field.setAttribute("aria-invalid", Boolean(fault));
  }
}

form.addEventListener("change", event => {
  whole ||= event.target.id === "shape";
  draw();
});
