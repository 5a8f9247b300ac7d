package yellowrail.web.sitting;

import java.util.List;
import java.util.Optional;
import yellowrail.core.drawer.DrawerFinding;

/**
 * How a tube crept, as it is stored.
 *
 * @param by as a ratio
 */
record CreptDocument(double by, long minutes) {

    static List<CreptDocument> of(List<DrawerFinding> findings) {
        return findings.stream()
                .flatMap(finding -> finding instanceof DrawerFinding.Crept crept
                        ? Optional.of(new CreptDocument(crept.by(), crept.minutes())).stream()
                        : Optional.<CreptDocument>empty().stream())
                .toList();
    }

    DrawerFinding finding() {
        return new DrawerFinding.Crept(by, minutes);
    }
}
