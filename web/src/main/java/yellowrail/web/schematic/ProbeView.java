package yellowrail.web.schematic;

import yellowrail.core.finding.Code;
import yellowrail.core.schematic.Probed;
import yellowrail.web.words.Words;

/**
 * A point of a drawing as it looks and reads; a page that has the drawing needs no more of it after a reading.
 *
 * @param typed what stands before its number on the entry line
 * @param look classes
 * @param path its shape
 * @param volts what was read, or should be
 * @param how a word to it; blank for none
 * @param says all of it in words
 */
public record ProbeView(String typed, String look, String path, String volts, String how, String says) {

    public static ProbeView of(Probed point, Words words) {
        String state = Code.of(point.state());
        String volts = words.say(point.volts());
        String how = point.how().map(words::say).orElse("");
        return new ProbeView(
                point.typed(),
                point.wrong() ? state + " wrong" : state,
                ProbePath.of(point),
                volts,
                how,
                words.message(
                        "page.walk.probe",
                        words.say(point.called()).strip(),
                        volts,
                        how,
                        words.message("page.walk." + state)));
    }
}
