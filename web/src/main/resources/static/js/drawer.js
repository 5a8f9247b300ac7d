// What takes its seconds with a large drawer says so meanwhile.
import { words } from "./words.js";

const OFTEN = 200;

document.addEventListener("submit", event => {
  const matching = event.target.querySelector("#matching");
  const importing = event.target.querySelector("#importing");
  if (matching) {
    matching.textContent = words.matching + " ";
    matching.append(document.createElement("progress"));
  }
  if (importing) {
    const number = event.target.elements.number;
    number.value = crypto.randomUUID();
    importing.replaceChildren(document.createElement("progress"), " ", document.createElement("span"));
    setTimeout(() => follow(importing, number.value), OFTEN);
  }
});

// Until the answer comes, which is another page.
async function follow(note, number) {
  const answer = await fetch("/drawer/import/" + number).catch(() => null);
  if (answer?.status === 200) {
    const far = await answer.json();
    const bar = note.querySelector("progress");
    if (far.rows > 0) {
      bar.max = far.rows;
      bar.value = far.kept;
      note.querySelector("span").textContent =
        words.rowsIn.replace("%s", far.kept.toLocaleString("en")).replace("%s", far.rows.toLocaleString("en"));
    }
  }
  setTimeout(() => follow(note, number), OFTEN);
}
