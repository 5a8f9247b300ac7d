// Records from the sound card, the browser's own processing off. What was heard becomes a WAV file in the field, as if it
// had been dropped there. By itself it plays nothing: the loudspeakers stay still, unless a climb goes on beside it.

import { wav } from "./wav.js";

const MOST_SECONDS = 60;
const SHOWN_SECONDS = 0.2;
/** A card that begins to listen clicks and settles: the first of what it gives is left out. */
const SETTLES_SECONDS = 0.5;
/** An answer that takes longer is none, ms. */
const PATIENCE = 3000;

const panel = document.getElementById("recorder");
const file = document.getElementById("file");
const button = document.getElementById("record");
const told = document.getElementById("heard");
const live = document.getElementById("live");

/** What is recorded just now. */
let going = null;

/** Whether there is a card that could be asked for. */
export const canRecord = Boolean(panel && navigator.mediaDevices?.getUserMedia && window.AudioWorkletNode);

export const isRecording = () => going !== null;

export function say(text) {
  told.textContent = text;
}

function show(recording) {
  const seconds = (recording.frames / recording.rate).toFixed(1);
  const peak = recording.peak >= 0.999 ? panel.dataset.full
    : recording.peak > 0 ? (20 * Math.log10(recording.peak)).toFixed(1) + " dB" : panel.dataset.nothing;
  say(`${seconds} s · ${peak}`);
}

/** What the server makes of the newest block; one that is not answered yet is not followed by another. */
async function ask(recording) {
  if (recording.asking || !panel.dataset.live) {
    return;
  }
  recording.asking = true;
  const begun = performance.now();
  const query = new URLSearchParams({ load: document.getElementById("load").value });
  recording.climb?.ask(query);
  try {
    const answer = await fetch(`${panel.dataset.live}?${query}`, {
      method: "POST",
      headers: { "Content-Type": "audio/wav", "X-XSRF-TOKEN": panel.closest("form").elements._csrf.value },
      body: wav(newest(recording), recording.rate),
      signal: AbortSignal.timeout(PATIENCE)
    });
    if (!answer.ok) {
      throw new Error(answer.statusText);
    }
    const text = await answer.text();
    if (going === recording) {
      live.innerHTML = text;
      performance.measure("live", { start: begun });
      recording.climb?.told(live.firstElementChild.dataset);
    }
  } catch {
    // Nobody says how loud it may go on.
    if (going === recording && recording.climb) {
      end(panel.dataset.noAnswer);
    } else if (going === recording) {
      live.textContent = panel.dataset.noAnswer;
    }
  }
  recording.asking = false;
}

/** The newest blocks of each channel. */
function newest(recording) {
  const count = Math.ceil(SHOWN_SECONDS * recording.rate / recording.channels[0].at(-1).length);
  return recording.channels.map(blocks => blocks.slice(-count));
}

function heard(recording, blocks) {
  recording.passed += blocks[0].length;
  if (recording.passed < SETTLES_SECONDS * recording.rate) {
    return;
  }
  recording.channels ??= blocks.map(() => []);
  recording.channels.forEach((channel, i) => channel.push(blocks[Math.min(i, blocks.length - 1)]));
  recording.frames += blocks[0].length;
  for (const block of blocks) {
    for (const sample of block) {
      recording.peak = Math.max(recording.peak, Math.abs(sample));
    }
  }
  if (recording.frames - recording.shown > SHOWN_SECONDS * recording.rate) {
    show(recording);
    ask(recording);
    recording.shown = recording.frames;
    recording.peak = 0;
  }
  if (recording.frames >= MOST_SECONDS * recording.rate) {
    end("");
  }
}

/** Leaves out what was recorded until now. */
export function anew() {
  const recording = going;
  recording.channels = recording.channels.map(() => []);
  recording.frames = 0;
  recording.shown = 0;
}

/**
 * Begins to listen.
 *
 * @param climb is made of the audio context and told of each block
 * @returns whether it could
 */
export async function begin(climb = () => null) {
  button.disabled = true;
  let stream = null;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: { ideal: 2 } }
    });
    await listen(stream, climb);
  } catch (error) {
    stream?.getTracks().forEach(track => track.stop());
    say(error.name === "NotAllowedError" ? panel.dataset.refused
      : error.name === "NotFoundError" ? panel.dataset.none : `${panel.dataset.failed} ${error.message}`);
  }
  button.disabled = false;
  return isRecording();
}

async function listen(stream, climb) {
  const context = new AudioContext({ sampleRate: Number(document.getElementById("rate").value) });
  await context.audioWorklet.addModule(new URL("./recorder.js", import.meta.url));
  const recording = {
    stream, context, rate: context.sampleRate, passed: 0, frames: 0, shown: 0, peak: 0, channels: null, climb: null
  };
  const node = new AudioWorkletNode(context, "recorder");
  node.port.onmessage = event => going === recording && heard(recording, event.data);
  const silent = new GainNode(context, { gain: 0 });
  context.createMediaStreamSource(stream).connect(node).connect(silent).connect(context.destination);
  const track = stream.getAudioTracks()[0];
  track.onended = () => going === recording && end(panel.dataset.gone);
  recording.climb = climb(context);
  going = recording;
  document.body.classList.add("recording");
  button.textContent = panel.dataset.stop;
  button.setAttribute("aria-pressed", "true");
  say(track.getSettings().autoGainControl ? panel.dataset.meddled : "");
}

/** @param why it ended, where nobody asked for it */
export async function end(why) {
  const recording = going;
  going = null;
  button.textContent = panel.dataset.start;
  button.setAttribute("aria-pressed", "false");
  document.body.classList.remove("recording");
  if (live) {
    live.replaceChildren();
  }
  if (recording.channels?.[0].length) {
    const taken = new DataTransfer();
    const name = recording.climb?.name ?? "recorded " + new Date().toTimeString().slice(0, 8).replaceAll(":", ".");
    taken.items.add(new File([wav(recording.channels, recording.rate)], name + ".wav", { type: "audio/wav" }));
    file.files = taken.files;
    say(`${why} ${(recording.frames / recording.rate).toFixed(1)} s`.trim());
    document.getElementById("measure").focus();
  } else {
    say(why || panel.dataset.nothing);
  }
  await recording.climb?.fade();
  recording.stream.getTracks().forEach(track => track.stop());
  recording.context.close();
}

if (canRecord) {
  panel.hidden = false;
  button.addEventListener("click", () => going ? end("") : begin());
}
