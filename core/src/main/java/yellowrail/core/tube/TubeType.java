package yellowrail.core.tube;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One power tube type.
 *
 * @param name the type number, for instance {@code 6L6GC}
 * @param aka other numbers of the same type
 * @param heaterVolts V
 * @param heaterAmps A
 * @param pins what its pins carry
 * @param sections how many systems of a double tube stand side by side in one socket; the ratings are of all of them
 * @param screenShare typical Ig2/(Ia+Ig2) at an idle, 0..1; 0 for a triode
 * @param screenSpread how far a tube’s own share may lie from it, as a part of it, at 95 %
 * @param bulb typical, makers differ
 * @param ratings one per rating system, the customary one first; never empty
 */
public record TubeType(
        String name,
        List<String> aka,
        TubeKind kind,
        double heaterVolts,
        double heaterAmps,
        Base base,
        PinOut pins,
        int sections,
        double screenShare,
        double screenSpread,
        Optional<BulbSize> bulb,
        List<Rating> ratings) {

    /**
     * How far a tube's own screen share may lie from the typical one, as a part of it, at 95 %, where the type's own
     * published points do not lie farther.
     */
    public static final double SCREEN_SHARE_SPREAD = 0.30;

    /** A single tube whose screen share spreads as is usual. */
    public TubeType(
            String name,
            List<String> aka,
            TubeKind kind,
            double heaterVolts,
            double heaterAmps,
            Base base,
            PinOut pins,
            double screenShare,
            Optional<BulbSize> bulb,
            List<Rating> ratings) {
        this(name, aka, kind, heaterVolts, heaterAmps, base, pins, 1, screenShare, SCREEN_SHARE_SPREAD, bulb, ratings);
    }

    public TubeType {
        aka = List.copyOf(aka);
        ratings = List.copyOf(ratings);
        if (ratings.isEmpty()) {
            throw new IllegalArgumentException(
                    "%s has no rating; at least the plate dissipation is needed".formatted(name));
        }
        if (!(screenShare >= 0 && screenShare < 1)) {
            throw new IllegalArgumentException(
                    "screen share of %s must be from 0 to less than 1, was %s".formatted(name, screenShare));
        }
    }

    /** This type with other ratings. */
    public TubeType with(List<Rating> others) {
        return copy(name, heaterAmps, sections, others);
    }

    /**
     * One section of a double tube, for a stage whose sides share a bulb: each has its part of the heater's current and
     * of the limits.
     */
    TubeType section(String called) {
        return copy(
                called,
                heaterAmps / sections,
                1,
                ratings.stream().map(rating -> rating.times(1.0 / sections)).toList());
    }

    /** One tube of the type under a name of its own; the type\u2019s number stays among the others. */
    public TubeType called(String own) {
        List<String> numbers = Stream.concat(Stream.of(name), aka.stream()).toList();
        return new TubeType(
                own,
                numbers,
                kind,
                heaterVolts,
                heaterAmps,
                base,
                pins,
                sections,
                screenShare,
                screenSpread,
                bulb,
                ratings);
    }

    private TubeType copy(String called, double amps, int side, List<Rating> others) {
        return new TubeType(
                called, aka, kind, heaterVolts, amps, base, pins, side, screenShare, screenSpread, bulb, others);
    }

    /** @param part of any of its numbers, case, spaces and dashes free; blank is part of all */
    public boolean isCalled(String part) {
        String wanted = TubeCatalogue.key(part);
        return Stream.concat(Stream.of(name), aka.stream())
                .anyMatch(number -> TubeCatalogue.key(number).contains(wanted));
    }

    public Rating customaryRating() {
        return ratings.get(0);
    }

    public Optional<Rating> rating(RatingSystem system) {
        return ratings.stream().filter(rating -> rating.system() == system).findFirst();
    }

    public boolean isTriode() {
        return kind == TubeKind.TRIODE;
    }
}
