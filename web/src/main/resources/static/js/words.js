// What the scripts say, in the vocabulary of the page.
export const words = document.getElementById("words").dataset;
