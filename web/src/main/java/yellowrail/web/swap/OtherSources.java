package yellowrail.web.swap;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.heater.HeaterExchange;
import yellowrail.core.swap.RectifierSurroundings;
import yellowrail.core.swap.RectifierSwap;
import yellowrail.core.swap.SmallTubeSwap;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.swap.SwapReport;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.SmallTube;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * The other tubes of an amp that heat it: its rectifier, its drivers and splitters.
 *
 * @param in the power tubes
 */
record OtherSources(AmpSheet sheet, SwapAmp amp, TubeType in, TubeCatalogue catalogue) {

    /** The rectifier that is in; blank where that is not known. */
    String rectifier() {
        if (!sheet.fittings().rectifierTube().isBlank()) {
            return sheet.fittings().rectifierTube();
        }
        return sheet.supply().rectifier() == Rectifier.SILICON ? "silicon" : "";
    }

    Optional<RectifierSwap> rectifier(String wants) {
        return RectifierType.find(wants)
                .flatMap(to -> RectifierType.find(rectifier())
                        .map(from -> new RectifierSwap(
                                amp,
                                from,
                                to,
                                new RectifierSurroundings(
                                        sheet.supply(), heaters(rectifier(), to.name()), Optional.of(in)))));
    }

    Optional<SwapReport> small(String present, String wants) {
        return SmallTube.find(present)
                .flatMap(from -> SmallTube.find(wants)
                        .map(to -> new SmallTubeSwap(from, to, heaters(present, to.name())).report()));
    }

    private Optional<HeaterExchange> heaters(String present, String wants) {
        return HeaterExchange.of(sheet.chart().windings(), present, wants, catalogue);
    }

    /** The small tubes on the windings of the sheet, as they are called there; all that there are where it has none. */
    List<String> smallOnes() {
        List<String> own = sheet.chart().windings().stream()
                .flatMap(winding -> winding.loads().stream())
                .map(load -> load.type())
                .filter(type -> SmallTube.find(type).isPresent())
                .distinct()
                .toList();
        return own.isEmpty() ? allSmallOnes() : own;
    }

    List<String> allSmallOnes() {
        return SmallTube.published().stream().map(SmallTube::name).toList();
    }
}
