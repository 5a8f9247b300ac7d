package yellowrail.core.schematic;

import yellowrail.core.amp.AmpSheet;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** What the screens of a stage hang on. */
enum Screens {
    /** Its tubes have none. */
    NONE,
    SUPPLY,
    TAP,
    PLATE;

    static Screens of(AmpSheet sheet, TubeCatalogue catalogue) {
        if (catalogue.find(sheet.tubeType()).filter(TubeType::isTriode).isPresent()) {
            return NONE;
        }
        return switch (sheet.screen().connection()) {
            case PENTODE -> SUPPLY;
            case ULTRALINEAR -> TAP;
            case TRIODE -> PLATE;
        };
    }
}
