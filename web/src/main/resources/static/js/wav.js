// Samples as a WAV file of 32-bit floating point.

const HEADER = 44;
const FLOAT = 3;

/** @param channels lists of blocks of samples, all of one length together */
export function wav(channels, rate) {
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
