// Runs beside the sound card: hands on what it hears, unchanged, a block at a time.

class Recorder extends AudioWorkletProcessor {
  process([input]) {
    if (input.length) {
      this.port.postMessage(input.map(channel => channel.slice()));
    }
    return true;
  }
}

registerProcessor("recorder", Recorder);
