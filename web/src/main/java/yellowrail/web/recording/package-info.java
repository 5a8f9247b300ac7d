/**
 * Sound files of a run: {@link yellowrail.web.recording.Recordings} keeps them as they came, each with a document of
 * what was heard in it, whose meaning is its feature's own.
 */
package yellowrail.web.recording;
