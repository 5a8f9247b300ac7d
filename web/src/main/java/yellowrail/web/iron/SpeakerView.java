package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import yellowrail.core.chart.Point;
import yellowrail.core.iron.Impedance;
import yellowrail.core.iron.Speaker;
import yellowrail.core.quantity.Figures;
import yellowrail.web.chart.Place;
import yellowrail.web.chart.Plot;
import yellowrail.web.chart.Plot.Tick;
import yellowrail.web.words.Words;

/** A speaker over frequency in SVG coordinates, with the loads it makes on its tap. */
record SpeakerView(
        String ohms,
        String phase,
        List<Tick> across,
        List<Tick> up,
        Plot frame,
        List<Mark> marks,
        List<String> says,
        List<String> remarks,
        String lines,
        String nominal,
        List<Place> crossings,
        String level) {

    private static final int POINTS = 240;
    private static final double FULL_PHASE = 90;

    /** A frequency that matters. */
    record Mark(Place at, String label) {}

    static SpeakerView of(Speaker speaker, double nominalOhms, double primaryOhms, List<String> remarks, Words words) {
        List<Impedance> curve = speaker.curve(POINTS);
        double most = 1.15 * curve.stream().mapToDouble(Impedance::ohms).max().orElse(nominalOhms);
        Plot size = new Plot(600, 300, 50, 50, 14, 46, Speaker.LOWEST, Speaker.HIGHEST, 0, most, true);
        Plot angle = new Plot(600, 300, 50, 50, 14, 46, Speaker.LOWEST, Speaker.HIGHEST, -FULL_PHASE, FULL_PHASE, true);
        List<Impedance> telling = List.of(speaker.resonance(), speaker.least(), speaker.at(Speaker.TREBLE));
        List<String> names = Stream.of("resonance", "least", "treble")
                .map(name -> words.message("page.speaker." + name))
                .toList();
        return new SpeakerView(
                size.line(curve.stream()
                        .map(each -> new Point(each.hertz(), each.ohms()))
                        .toList()),
                angle.line(curve.stream()
                        .map(each -> new Point(each.hertz(), each.degrees()))
                        .toList()),
                size.across(0, 1),
                size.up(5, 1),
                size,
                telling.stream()
                        .map(each -> new Mark(
                                size.place(new Point(each.hertz(), each.ohms())), names.get(telling.indexOf(each))))
                        .toList(),
                says(speaker, telling, names, nominalOhms, primaryOhms, words),
                remarks,
                SpeakerLines.write(telling),
                Figures.plain(nominalOhms),
                speaker.crossings(nominalOhms).stream()
                        .map(hertz -> size.place(new Point(hertz, nominalOhms)))
                        .toList(),
                size.level(nominalOhms));
    }

    private static List<String> says(
            Speaker speaker,
            List<Impedance> telling,
            List<String> names,
            double nominalOhms,
            double primaryOhms,
            Words words) {
        List<String> says = new ArrayList<>(telling.stream()
                .map(each -> words.message(
                        "page.speaker.tells",
                        names.get(telling.indexOf(each)),
                        Figures.fixed(each.hertz(), 0),
                        Figures.fixed(each.ohms(), 1),
                        (each.degrees() < 0 ? "" : "+") + Figures.fixed(each.degrees(), 0),
                        Figures.fixed(primaryOhms * each.ohms() / nominalOhms / 1000, 1)))
                .toList());
        List<String> crossings = speaker.crossings(nominalOhms).stream()
                .map(hertz -> Figures.fixed(hertz, 0))
                .toList();
        says.add(
                crossings.isEmpty()
                        ? words.message("page.speaker.never-nominal", Figures.plain(nominalOhms))
                        : words.message(
                                "page.speaker.nominal-at", Figures.plain(nominalOhms), String.join(", ", crossings)));
        return says;
    }
}
