package yellowrail.web.swap;

import java.util.Collection;
import java.util.List;
import yellowrail.core.swap.SwapCheck;
import yellowrail.core.swap.SwapReport;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * Which types the table of all shows.
 *
 * @param base only those on the base of the one that is in
 * @param fits only those that fit, as they are or after changes
 * @param mine only those of which there is one in the drawer
 */
record SwapFilter(boolean base, boolean fits, boolean mine) {

    List<SwapReport> of(SwapCheck check, TubeType in, TubeCatalogue catalogue, Collection<String> drawer) {
        List<TubeType> asked = catalogue.types().stream()
                .filter(type -> !base || type.base().equals(in.base()))
                .filter(type -> !mine || drawer.contains(type.name()))
                .toList();
        return check.all(new TubeCatalogue(asked)).stream()
                .filter(report -> !fits
                        || report.verdict() == SwapReport.Verdict.FITS
                        || report.verdict() == SwapReport.Verdict.AFTER_CHANGES)
                .toList();
    }
}
