package yellowrail.web.run;

import java.util.List;

/**
 * Notes of which the first are shown; the most important come first.
 *
 * @param first those
 * @param rest the others
 */
record Notes(List<String> first, List<String> rest) {

    static Notes of(List<String> all, int shown) {
        int most = Math.min(shown, all.size());
        return new Notes(all.subList(0, most), all.subList(most, all.size()));
    }

    public int more() {
        return rest.size();
    }
}
