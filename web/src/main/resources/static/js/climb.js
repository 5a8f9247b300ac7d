// A cell of the proof's grid measured with one key: a tone is played while the page records, the server says how loud it
// goes next, and what was climbed to is kept. The tone begins far down and is never louder at once than asked.

import { anew, begin, canRecord, end, isRecording, say } from "./record.js";

const BEGINS = -40;
/** A level stands so long before it is judged: way through the card, and a stretch that can be measured, s. */
const STANDS = 0.75;
/** What is recorded once a power is there, s. */
const HOLDS = 3;
/** Of a ramp, s. */
const RAMP = 0.02;
const FADES = 5 * RAMP;

const seconds = () => performance.now() / 1000;
const wait = time => new Promise(done => setTimeout(done, 1000 * time));

class Climb {
  constructor(context, { hertz, goal, mark, name }) {
    this.context = context;
    this.name = name;
    this.hertz = hertz;
    this.goal = goal;
    this.mark = mark;
    this.tone = new OscillatorNode(context, { frequency: Number(hertz) });
    this.gain = new GainNode(context, { gain: 0 });
    this.tone.connect(this.gain).connect(context.destination);
    this.tone.start();
    this.over = false;
    this.holding = false;
    this.set(BEGINS);
  }

  set(level) {
    this.level = level;
    this.since = seconds();
    this.asked = false;
    this.gain.gain.setTargetAtTime(10 ** (level / 20), this.context.currentTime, RAMP);
  }

  /** Adds to what the server is asked about a block. */
  ask(query) {
    this.asked = !this.over && seconds() - this.since > STANDS;
    if (this.asked) {
      const before = this.before ?? {};
      Object.entries({ goal: this.goal, mark: this.mark, hertz: this.hertz, level: this.level, ...before })
        .forEach(([name, value]) => query.set(name, value));
    }
  }

  /** @param answer of a block */
  async told({ next, heard, distortion, there, says }) {
    if (!this.asked || this.over) {
      return;
    }
    if (says && there !== "true") {
      this.over = true;
      await end(says);
    } else if (says && !this.holding) {
      await this.hold(heard, distortion, says);
    } else if (!this.holding) {
      this.remember(heard, distortion);
      this.set(Number(next));
    }
  }

  remember(heard, distortion) {
    this.before = { levelBefore: this.level, heardBefore: heard, distortionBefore: distortion };
  }

  /** What was climbed to is there: a power is recorded for a while, and still watched. */
  async hold(heard, distortion, says) {
    this.holding = true;
    this.remember(heard, distortion);
    if (this.goal === "POWER") {
      anew();
      await wait(HOLDS);
    }
    if (!this.over) {
      await end(says);
      document.getElementById("measure").click();
    }
  }

  async fade() {
    this.over = true;
    this.gain.gain.setTargetAtTime(0, this.context.currentTime, RAMP);
    await wait(FADES);
    this.tone.stop();
  }
}

// The grid stands anew when another device has recorded.
function offer() {
  document.querySelectorAll("button.climb").forEach(button => { button.hidden = false; });
}

if (canRecord) {
  offer();
  document.body.addEventListener("htmx:afterSwap", offer);
  document.addEventListener("click", async event => {
    const button = event.target.closest("button.climb");
    if (!button) {
      return;
    }
    if (isRecording()) {
      end("");
    } else if (await begin(context => new Climb(context, button.dataset))) {
      say(document.getElementById("recorder").dataset.climbing);
    }
  });
}
