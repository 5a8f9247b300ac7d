package yellowrail.core.tube;

import java.util.List;
import yellowrail.core.finding.Finding;

/** What is to be said of a type's figures. */
public sealed interface TubeFinding extends Finding {

    /** Which system a limit belongs to and where it is from. */
    record Provenance(RatingSystem system, TubeFinding source) implements TubeFinding {}

    /** As {@link Provenance}, of a figure that nobody is sure of. */
    record ProvenanceToVerify(RatingSystem system, TubeFinding source) implements TubeFinding {}

    /** A number that no catalogue here has. */
    record NotListed(String typed) implements TubeFinding {}

    /** As {@link NotListed}; the nearest that are listed have other ratings and do not stand for it. */
    record NearestListed(String typed, List<String> nearest) implements TubeFinding {}

    // Where it is from

    record DataSheet() implements TubeFinding {}

    record OnAmpSheet() implements TubeFinding {}

    record InRequest() implements TubeFinding {}

    /** In the builder's words. */
    record ToldByBuilder(String words) implements TubeFinding {}
}
