package yellowrail.web.recording;

/** A file as it came. */
record SoundRow(byte[] sound) {}
