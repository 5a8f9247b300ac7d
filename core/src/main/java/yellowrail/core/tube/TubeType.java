package yellowrail.core.tube;

import java.util.List;
import java.util.Optional;

/**
 * One power tube type.
 *
 * @param name         the type number, for instance {@code 6L6GC}
 * @param aka          other numbers of the same type
 * @param kind         pentode, beam or triode
 * @param heaterVolts  V
 * @param heaterAmps   A
 * @param base         base in words
 * @param pins         element=pin, in the order of the pins, or a remark
 * @param screenShare  typical Ig2/(Ia+Ig2) at an idle, 0..1; 0 for a triode
 * @param sizeMm       bulb height x diameter, mm, typical
 * @param ratings      one per rating system, the customary one first; never empty
 */
public record TubeType(String name, List<String> aka, String kind, double heaterVolts, double heaterAmps, String base,
                       String pins, double screenShare, String sizeMm, List<Rating> ratings) {

    /**
     * How far a tube's own screen share may lie from the typical one, as a part of it, at 95 %: the published static
     * points of one type at different voltages scatter by about this much.
     */
    public static final double SCREEN_SHARE_SPREAD = 0.30;

    public TubeType {
        aka = List.copyOf(aka);
        ratings = List.copyOf(ratings);
        if (ratings.isEmpty()) {
            throw new IllegalArgumentException("%s has no rating; at least the plate dissipation is needed".formatted(name));
        }
        if (!(screenShare >= 0 && screenShare < 1)) {
            throw new IllegalArgumentException("screen share of %s must be from 0 to less than 1, was %s".formatted(name, screenShare));
        }
    }

    /** This type with other ratings. */
    public TubeType with(List<Rating> others) {
        return new TubeType(name, aka, kind, heaterVolts, heaterAmps, base, pins, screenShare, sizeMm, others);
    }

    public Rating customaryRating() {
        return ratings.get(0);
    }

    public Optional<Rating> rating(RatingSystem system) {
        return ratings.stream().filter(rating -> rating.system() == system).findFirst();
    }

    public boolean isTriode() {
        return kind.equals("triode");
    }
}
