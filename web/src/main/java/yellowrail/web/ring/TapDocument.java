package yellowrail.web.ring;

import java.util.List;
import yellowrail.core.ring.Ring;
import yellowrail.core.ring.Taps;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

/**
 * What a tube answered its taps with, in parts of full scale.
 *
 * @param name of the file
 * @param tube as the builder calls it
 * @param gain from it to the card, times; null if it was not told
 * @param channel the one that was heard best, from 0
 * @param struck when something was struck, s
 */
record TapDocument(
        String name,
        String tube,
        Double gain,
        int mainsHertz,
        int perSecond,
        double seconds,
        int channel,
        List<Double> struck,
        List<Rung> rings) {

    TapDocument {
        struck = List.copyOf(struck);
        rings = List.copyOf(rings);
    }

    /** One of them; see {@link Ring}. */
    record Rung(double at, double hertz, double hertzPlusMinus, double fall, double fallPlusMinus, double level) {

        static Rung of(Ring ring) {
            return new Rung(
                    ring.at(), ring.hertz(), ring.hertzPlusMinus(), ring.fall(), ring.fallPlusMinus(), ring.level());
        }

        Ring ring() {
            return new Ring(at, hertz, hertzPlusMinus, fall, fallPlusMinus, level);
        }
    }

    Taps taps() {
        return new Taps(struck, rings.stream().map(Rung::ring).toList());
    }

    static List<Rung> rings(Taps taps) {
        return taps.rings().stream().map(Rung::of).toList();
    }

    static DocumentKind<TapDocument> kind(JsonColumn json) {
        return json.kind(TapDocument.class);
    }
}
