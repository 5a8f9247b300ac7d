// Reminds of the next reading of a soak, and says an alarm aloud once: by the title, a tone, and the browser's notice where
// that was allowed. The page works without it: what to read next stands on it.

import { words } from "./words.js";

const title = document.title;
let told = "";
let sound = null;

const reminder = () => document.querySelector("[data-remind-at]");
const alarm = () => document.querySelector("#alarm [data-alarm]");

// A tone needs a hand first: browsers stay silent until something was pressed.
document.addEventListener("pointerdown", () => { sound ??= window.AudioContext ? new AudioContext() : null; }, { once: true });
document.addEventListener("keydown", () => { sound ??= window.AudioContext ? new AudioContext() : null; }, { once: true });

function tone(pitch, times) {
  for (let i = 0; sound && i < times; i++) {
    const at = sound.currentTime + i * 0.4;
    const wave = sound.createOscillator();
    const level = sound.createGain();
    wave.frequency.value = pitch;
    level.gain.setValueAtTime(0, at);
    level.gain.linearRampToValueAtTime(0.2, at + 0.02);
    level.gain.linearRampToValueAtTime(0, at + 0.3);
    wave.connect(level).connect(sound.destination);
    wave.start(at);
    wave.stop(at + 0.32);
  }
}

function notice(text) {
  if (window.Notification?.permission === "granted") {
    new Notification(title, { body: text, tag: "yellow-rail" });
  }
}

function say(text, pitch, times) {
  if (told === text) {
    return;
  }
  told = text;
  tone(pitch, times);
  notice(text);
  if (localStorage.getItem("speech") === "on" && window.speechSynthesis) {
    speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }
}

function look() {
  const wrong = alarm();
  document.querySelector("[data-speech]")?.setAttribute("aria-pressed", localStorage.getItem("speech") === "on");
  const next = reminder();
  const due = next && Date.parse(next.dataset.remindAt) <= Date.now() + Number(next.dataset.clock ?? 0);
  next?.classList.toggle("due", Boolean(due));
  if (wrong) {
    document.title = words.alarm.replace("%s", title);
    say(wrong.textContent.trim(), 880, 5);
  } else if (due) {
    document.title = words.readNow.replace("%s", next.dataset.point);
    say(next.textContent.trim(), 520, 2);
  } else {
    document.title = title;
  }
}

document.addEventListener("click", event => {
  if (event.target.closest("[data-notices]")) {
    window.Notification?.requestPermission();
    sound ??= window.AudioContext ? new AudioContext() : null;
    tone(520, 1);
  }
  if (event.target.closest("[data-speech]")) {
    localStorage.setItem("speech", localStorage.getItem("speech") === "on" ? "off" : "on");
    look();
  }
});

setInterval(look, 1000);
look();
