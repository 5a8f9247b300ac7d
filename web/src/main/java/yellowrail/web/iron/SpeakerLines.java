package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import yellowrail.core.iron.Impedance;
import yellowrail.core.quantity.Figures;

/** A speaker at a few frequencies in an address: {@code 80:42.3:0,5000:14.1:48}; what cannot be read is left out. */
final class SpeakerLines {

    private static final int MOST = 4;
    private static final double USUAL = 8;

    private SpeakerLines() {}

    static String write(List<Impedance> speaker) {
        return speaker.stream()
                .map(each -> Figures.fixed(each.hertz(), 0) + ":" + Figures.fixed(each.ohms(), 2) + ":"
                        + Figures.fixed(each.degrees(), 0))
                .collect(Collectors.joining(","));
    }

    static List<Impedance> read(String text) {
        List<Impedance> speaker = new ArrayList<>();
        for (String part : text.split(",")) {
            if (part.matches("\\d{1,6}:\\d{1,5}(\\.\\d{1,3})?:-?\\d{1,3}") && speaker.size() < MOST) {
                String[] figures = part.split(":");
                Impedance read = new Impedance(
                        Double.parseDouble(figures[0]), Double.parseDouble(figures[1]), Double.parseDouble(figures[2]));
                if (read.ohms() > 0 && Math.abs(read.degrees()) <= 180) {
                    speaker.add(read);
                }
            }
        }
        return speaker;
    }

    static double nominal(String text) {
        double ohms = text.matches("\\d{1,4}(\\.\\d{1,3})?") ? Double.parseDouble(text) : USUAL;
        return ohms > 0 ? ohms : USUAL;
    }
}
