// g: every point of the drawing shows its key, of one letter or two; the key goes there, any other closes.

const LETTERS = "asdfghjklqwertuiopzxcvnmb";
let keyed = new Map();
let typed = "";

const shown = point => point.getClientRects().length > 0;

export function showKeys() {
  const points = [...document.querySelectorAll("svg.schematic .probe[href]")].filter(shown);
  const two = points.length > LETTERS.length;
  const key = i => two ? LETTERS[Math.floor(i / LETTERS.length)] + LETTERS[i % LETTERS.length] : LETTERS[i];
  hideKeys();
  points.slice(0, LETTERS.length ** 2).forEach((point, i) => {
    keyed.set(key(i), point);
    const label = document.createElementNS("http://www.w3.org/2000/svg", "text");
    label.setAttribute("class", "point-key");
    label.setAttribute("text-anchor", "middle");
    label.setAttribute("y", "5");
    label.textContent = key(i);
    point.append(label);
  });
  return points.length > 0;
}

function hideKeys() {
  document.querySelectorAll(".point-key").forEach(label => label.remove());
  keyed = new Map();
  typed = "";
}

function pressed(event) {
  event.preventDefault();
  event.stopImmediatePropagation();
  typed += event.key;
  const point = keyed.get(typed);
  const open = [...keyed].filter(([key]) => key.startsWith(typed));
  if (point || open.length === 0) {
    hideKeys();
    point?.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
  } else {
    document.querySelectorAll(".point-key").forEach(label => label.toggleAttribute("hidden", !label.textContent.startsWith(typed)));
  }
}

addEventListener("keydown", event => {
  if (event.ctrlKey || event.altKey || event.metaKey || event.key === "Shift") {
    return;
  }
  if (keyed.size > 0) {
    pressed(event);
  } else if (event.key === "g" && event.target.id === "volts" && event.target.value === "" && showKeys()) {
    event.preventDefault();
  }
}, true);

document.body.addEventListener("htmx:beforeSwap", event => {
  if (event.detail.target.querySelector(".point-key")) {
    hideKeys();
  }
});
