package yellowrail.web.soak;

import java.util.List;

/** How the curve of a test point looks: told apart by its dashes before its shade. */
final class Stroke {

    private static final List<String> LOOKS =
            List.of("stroke-0", "stroke-1", "stroke-2", "stroke-3", "stroke-4", "stroke-5", "stroke-6", "stroke-7");

    private Stroke() {}

    /** @param point its place in the order of the sheet */
    static String of(int point) {
        return LOOKS.get(point % LOOKS.size());
    }
}
