// The page that asks for the code: one that came with the picture is typed already.

const code = document.getElementById("code");

function take() {
  const came = location.hash.slice(1);
  if (/^[0-9A-Z-]{8,9}$/i.test(came)) {
    code.value = came;
    history.replaceState(null, "", location.pathname);
    document.getElementById("name").focus();
  }
}

take();
addEventListener("hashchange", take);
