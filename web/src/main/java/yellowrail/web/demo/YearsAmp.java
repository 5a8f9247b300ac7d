package yellowrail.web.demo;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * One amp of many years: what it is, and about what it reads. The figures are made up, and of the size that such amps
 * have.
 *
 * @param plateVolts at idle, V
 * @param amps of one tube at idle, A
 * @param ohms the current is read across, ohm
 */
record YearsAmp(AmpSheet sheet, String type, double plateVolts, double amps, double ohms) {

    private static final List<String> FIRST =
            List.of("Marsh", "Water", "Bog", "Fen", "Mire", "Moor", "Brook", "Pond", "Reed", "Dew");
    private static final List<String> SECOND = List.of("violet", "avens", "willow", "orchid", "sedge", "thistle");

    private static final Map<String, Double> PLATE_VOLTS =
            Map.of("6L6GC", 446.0, "EL34", 432.0, "KT88", 468.0, "6V6GT", 338.0, "EL84", 309.0);
    private static final double FIXED_SHARE = 0.6;
    private static final double CATHODE_SHARE = 0.88;
    /** Of cathode current; the rest goes to the screen. */
    private static final double TO_THE_PLATE = 0.94;

    private record Kind(Topology topology, BiasKind bias, int tubes, List<String> types) {}

    private static final List<Kind> KINDS = List.of(
            new Kind(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, 2, List.of("6L6GC", "EL34", "KT88", "6V6GT")),
            new Kind(Topology.PUSH_PULL, BiasKind.CATHODE_EACH, 2, List.of("EL84", "6V6GT")),
            new Kind(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, 4, List.of("EL34", "6L6GC")),
            new Kind(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, 1, List.of("EL84", "6V6GT")),
            new Kind(Topology.PUSH_PULL, BiasKind.FIXED, 2, List.of("6V6GT", "6L6GC")));

    /** @param number from 0; what it is follows from it */
    static YearsAmp of(int number, TubeCatalogue catalogue) {
        Kind kind = KINDS.get(number % KINDS.size());
        TubeType type = catalogue
                .find(kind.types().get(number / KINDS.size() % kind.types().size()))
                .orElseThrow();
        double plate = PLATE_VOLTS.get(type.name());
        double share = kind.bias().isCathode() ? CATHODE_SHARE : FIXED_SHARE;
        double amps = share * type.customaryRating().plateWatts() / plate / TO_THE_PLATE;
        double ohms = kind.bias().isCathode() ? Math.round(0.03 * plate / amps / 10) * 10 : 1;
        AmpSheet usual = new AmpDefaults(kind.topology(), kind.bias(), type, kind.tubes(), false).sheet();
        AmpSheet sheet = usual.with(new Identity(name(number), "", ""));
        return new YearsAmp(
                kind.bias().isCathode()
                        ? sheet.with(CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, ohms, 0.05, Unit.VOLT))
                        : sheet,
                type.name(),
                plate,
                amps,
                ohms);
    }

    private static String name(int number) {
        String name = FIRST.get(number % FIRST.size()) + " " + SECOND.get(number / FIRST.size() % SECOND.size());
        int round = number / (FIRST.size() * SECOND.size());
        return round == 0 ? name : name + " " + (round + 1);
    }

    /** A reading at a socket, as it is typed. */
    String typed(String socket, double ofNominal) {
        double volts = amps * ofNominal * ohms;
        return sheet.current().shows() == Unit.VOLT
                ? String.format(Locale.ROOT, "%s %.2fV", socket, volts)
                : String.format(Locale.ROOT, "%s %.1fmV", socket, volts * 1000);
    }

    /** What turns the bias of all tubes, where there is one. */
    Optional<String> pot() {
        return sheet.pots().stream().findFirst().map(pot -> pot.name());
    }
}
