// A sound file dropped anywhere on the proof page stands in its field; the page works without it.

const form = document.getElementById("drop");
const file = document.getElementById("file");

if (form) {
  for (const over of ["dragenter", "dragover"]) {
    document.addEventListener(over, event => {
      event.preventDefault();
      form.classList.add("over");
    });
  }
  for (const gone of ["dragleave", "drop"]) {
    document.addEventListener(gone, () => form.classList.remove("over"));
  }
  document.addEventListener("drop", event => {
    event.preventDefault();
    if (event.dataTransfer.files.length) {
      file.files = event.dataTransfer.files;
      document.getElementById("measure").focus();
    }
  });
}
