package yellowrail.web.prove;

/** The file of a recording as it came. */
record SoundRow(byte[] sound) {}
