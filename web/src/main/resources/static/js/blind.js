// A mark by its digit, and a guess by its letter, unless words are being typed.
document.addEventListener("keydown", event => {
  if (event.target.matches("input") || event.ctrlKey || event.altKey || event.metaKey) {
    return;
  }
  const button = document.getElementById("mark-" + event.key) ?? document.getElementById("is-" + event.key.toLowerCase());
  if (button) {
    event.preventDefault();
    button.click();
  }
});
