// Records from the sound card, the browser's own processing off. What was heard becomes a WAV file in the field, as if it
// had been dropped there. Nothing of it is played: the loudspeakers stay still.

const MOST_SECONDS = 60;
const SHOWN_SECONDS = 0.2;
/** A card that begins to listen clicks and settles: the first of what it gives is left out. */
const SETTLES_SECONDS = 0.5;
const HEADER = 44;
const FLOAT = 3;

const panel = document.getElementById("recorder");
const file = document.getElementById("file");
const button = document.getElementById("record");
const told = document.getElementById("heard");
const live = document.getElementById("live");

/** What is recorded just now. */
let going = null;

function wav(channels, rate) {
  const count = channels.length;
  const frames = channels[0].reduce((sum, block) => sum + block.length, 0);
  const view = new DataView(new ArrayBuffer(HEADER + 4 * count * frames));
  const name = (at, text) => [...text].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)));
  name(0, "RIFF");
  view.setUint32(4, view.byteLength - 8, true);
  name(8, "WAVEfmt ");
  view.setUint32(16, 16, true);
  view.setUint16(20, FLOAT, true);
  view.setUint16(22, count, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, 4 * count * rate, true);
  view.setUint16(32, 4 * count, true);
  view.setUint16(34, 32, true);
  name(36, "data");
  view.setUint32(40, 4 * count * frames, true);
  channels.forEach((blocks, channel) => {
    let at = HEADER + 4 * channel;
    for (const block of blocks) {
      for (const sample of block) {
        view.setFloat32(at, sample, true);
        at += 4 * count;
      }
    }
  });
  return view.buffer;
}

function show(recording) {
  const seconds = (recording.frames / recording.rate).toFixed(1);
  const peak = recording.peak >= 0.999 ? panel.dataset.full
    : recording.peak > 0 ? (20 * Math.log10(recording.peak)).toFixed(1) + " dB" : panel.dataset.nothing;
  told.textContent = `${seconds} s · ${peak}`;
}

const DIGITS = 3;
const figure = (value, unit) => value === null || value === undefined ? [] : [`${Number(value.toPrecision(DIGITS))} ${unit}`];

/** What the server makes of the newest block; one that is not answered yet is not followed by another. */
async function ask(recording) {
  if (recording.asking) {
    return;
  }
  recording.asking = true;
  const begun = performance.now();
  const query = new URLSearchParams({ mainsHertz: panel.dataset.mains });
  const load = document.getElementById("load").value;
  if (panel.dataset.scale && Number(load) > 0) {
    query.set("fullScaleVolts", panel.dataset.scale);
    query.set("loadOhms", load);
  }
  try {
    const answer = await fetch("/api/spectrum?" + query, {
      method: "POST", headers: { "Content-Type": "audio/wav" }, body: wav(newest(recording), recording.rate)
    });
    const tone = answer.ok ? (await answer.json()).channels.find(each => each.fundamentalHertz) : null;
    if (going === recording) {
      live.textContent = tone
        ? [...figure(tone.watts, "W"), ...figure(tone.thdPercent, "% THD"), ...figure(tone.fundamentalHertz, "Hz")].join(" · ")
        : panel.dataset.noTone;
      performance.measure("live", { start: begun });
    }
  } catch {
    live.textContent = "";
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

async function begin() {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: { ideal: 2 } }
  });
  try {
    await listen(stream);
  } catch (error) {
    stream.getTracks().forEach(track => track.stop());
    throw error;
  }
}

async function listen(stream) {
  const context = new AudioContext({ sampleRate: Number(document.getElementById("rate").value) });
  await context.audioWorklet.addModule("/js/recorder.js");
  const recording = { stream, context, rate: context.sampleRate, passed: 0, frames: 0, shown: 0, peak: 0, channels: null };
  const node = new AudioWorkletNode(context, "recorder");
  node.port.onmessage = event => going === recording && heard(recording, event.data);
  const silent = new GainNode(context, { gain: 0 });
  context.createMediaStreamSource(stream).connect(node).connect(silent).connect(context.destination);
  const track = stream.getAudioTracks()[0];
  track.onended = () => going === recording && end(panel.dataset.gone);
  going = recording;
  button.textContent = panel.dataset.stop;
  button.setAttribute("aria-pressed", "true");
  told.textContent = track.getSettings().autoGainControl ? panel.dataset.meddled : "";
}

/** @param why it ended, where nobody asked for it */
function end(why) {
  const recording = going;
  going = null;
  recording.stream.getTracks().forEach(track => track.stop());
  recording.context.close();
  live.textContent = "";
  button.textContent = panel.dataset.start;
  button.setAttribute("aria-pressed", "false");
  if (!recording.channels) {
    told.textContent = why || panel.dataset.nothing;
    return;
  }
  const taken = new DataTransfer();
  const name = "recorded " + new Date().toTimeString().slice(0, 8).replaceAll(":", ".") + ".wav";
  taken.items.add(new File([wav(recording.channels, recording.rate)], name, { type: "audio/wav" }));
  file.files = taken.files;
  told.textContent = `${why} ${(recording.frames / recording.rate).toFixed(1)} s`.trim();
  document.getElementById("measure").focus();
}

async function toggle() {
  if (going) {
    end("");
    return;
  }
  button.disabled = true;
  try {
    await begin();
  } catch (error) {
    told.textContent = error.name === "NotAllowedError" ? panel.dataset.refused
      : error.name === "NotFoundError" ? panel.dataset.none : `${panel.dataset.failed} ${error.message}`;
  }
  button.disabled = false;
}

if (panel && navigator.mediaDevices?.getUserMedia && window.AudioWorkletNode) {
  panel.hidden = false;
  button.addEventListener("click", toggle);
}
