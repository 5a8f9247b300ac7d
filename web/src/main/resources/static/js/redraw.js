// Draws a page again while the fields of its form change. One request at a time: while one is out, the newest waits.

import { words } from "./words.js";

/**
 * @param quickly adds to the query of a quick answer, one while something is held
 * @param kept what a quick answer leaves out and the page keeps
 * @param done is called once something new is drawn
 * @returns what draws: quickly, or all of it
 */
export function redrawer(form, drawn, { quickly = () => {}, kept, done = () => {} }) {
  let busy = false;
  let waiting = null;

  return async function draw(quick) {
    if (busy) {
      waiting = waiting === null ? quick : waiting && quick;
      return;
    }
    busy = true;
    drawn.setAttribute("aria-busy", "true");
    const query = new URLSearchParams(new FormData(form));
    if (quick) {
      query.set("quick", "yes");
      quickly(query);
    } else {
      history.replaceState(null, "", location.pathname + "?" + query);
    }
    try {
      const answer = await fetch(form.dataset.drawn + "?" + query);
      const below = quick && kept ? [...drawn.querySelectorAll(kept)] : [];
      drawn.innerHTML = await answer.text();
      drawn.firstElementChild?.append(...below);
      done();
    } catch {
      drawn.insertAdjacentHTML("afterbegin", `<p class='fault' role='alert'>${words.noAnswer}</p>`);
    }
    busy = false;
    if (waiting !== null) {
      const next = waiting;
      waiting = null;
      draw(next);
    } else {
      drawn.setAttribute("aria-busy", "false");
    }
  };
}

/** Draws all of it once a field has changed or the form is sent, without leaving the page; what was typed before, too. */
export function drawsOnChange(form, draw) {
  if ([...form.querySelectorAll("input")].some(field => field.value !== field.defaultValue)) {
    draw(false);
  }
  form.addEventListener("change", () => draw(false));
  form.addEventListener("submit", event => {
    event.preventDefault();
    draw(false);
  });
}

/**
 * Keeps the focus on what the arrow keys move, which is drawn anew under them.
 *
 * @param find tells what is focused from what was kept
 */
export function focusKeeper(drawn, find) {
  let kept = null;
  drawn.addEventListener("focusout", event => {
    // What is drawn anew loses the focus to nothing.
    if (event.relatedTarget) {
      kept = null;
    }
  });
  return {
    keep: what => {
      kept = what;
    },
    restore: () => kept !== null && find(kept)?.focus({ preventScroll: true })
  };
}

/** Calls once what was held is let go of. */
export function onRelease(drawn, released) {
  for (const end of ["pointerup", "pointercancel"]) {
    drawn.addEventListener(end, released);
  }
}
