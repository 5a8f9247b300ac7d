package yellowrail.web.tubes;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.PinOut;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeKind;
import yellowrail.core.tube.TubeType;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

class OwnTubeDocumentTest {

    /** As a type was kept when its record was stored whole. */
    private static final String OLD = """
            {"name": "X100", "aka": [], "kind": "beam", "heaterVolts": 6.3, "heaterAmps": 1.2, "base": "octal",
             "pins": "as the sheet in the box says", "screenShare": 0.05, "sizeMm": "", "ratings": [{"system": "OWN",
             "plateVolts": 500.0, "screenVolts": null, "plateWatts": 30.0, "screenWatts": null, "cathodeAmps": 0.15,
             "gridLeakFixed": null, "gridLeakCathode": null, "sure": true, "source": "the sheet in the box"}]}""";

    private final DocumentKind<OwnTubeDocument> documents = new JsonColumn().kind(OwnTubeDocument.class);

    @Test
    void aTypeThatWasKeptBeforeIsRead() {
        TubeType type = documents.read(OLD).type();
        assertThat(type.kind()).isEqualTo(TubeKind.BEAM);
        assertThat(type.base()).isEqualTo(Base.OCTAL);
        assertThat(type.pins()).as("words were allowed for pins").isEqualTo(PinOut.OF_ITS_OWN);
        assertThat(type.bulb()).isEmpty();
        assertThat(type.customaryRating().system()).isEqualTo(RatingSystem.OWN);
        assertThat(type.customaryRating().plateVolts()).hasValue(500);
        assertThat(type.customaryRating().screenVolts()).isEmpty();
        assertThat(type.customaryRating().source()).isEqualTo(new TubeFinding.ToldByBuilder("the sheet in the box"));
    }

    @Test
    void whatIsKeptComesBackTheSame() {
        TubeType type = documents.read(OLD).type();
        assertThat(documents.read(documents.write(OwnTubeDocument.of(type))).type())
                .isEqualTo(type);
    }
}
