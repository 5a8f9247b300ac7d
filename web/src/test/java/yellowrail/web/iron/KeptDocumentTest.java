package yellowrail.web.iron;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

class KeptDocumentTest {

    /** As settings were kept when they were the form: as typed, with units and decimal commas. */
    private static final String FORMAT_1 = """
            {"type":"6L6GC","perSide":"1","plates":"450V","screens":"400","connection":"ULTRALINEAR","tap":"43",
             "bias":"fixed","idle":"36,4","load":"5.6k","copper":"60","sag":"80","screenSag":"0"}""";

    private final DocumentKind<KeptDocument> documents = KeptDocument.kind(new JsonColumn());

    @Test
    void aSettingThatWasKeptAsTypedIsReadAsValues() {
        assertThat(documents.read(FORMAT_1))
                .isEqualTo(new KeptDocument(
                        "6L6GC",
                        1,
                        450,
                        400,
                        Connection.ULTRALINEAR,
                        0.43,
                        false,
                        0.0364,
                        5600,
                        60,
                        80,
                        0,
                        0,
                        0,
                        1,
                        ""));
    }

    @Test
    void whatWasNotLookedAtMayHaveBeenAnything() {
        KeptDocument triode = documents.read(FORMAT_1.replace("ULTRALINEAR", "TRIODE")
                .replace("\"400\"", "\"\"")
                .replace("\"43\"", "\"none\""));
        assertThat(triode.screenVolts()).isEqualTo(450);
        assertThat(triode.tap()).isEqualTo(0.43);
    }

    @Test
    void whatIsKeptComesBackTheSameAndIsAskedForAgain() {
        KeptDocument kept = documents.read(FORMAT_1);
        assertThat(documents.read(documents.write(kept))).isEqualTo(kept);
        assertThat(kept.form().of("load")).isEqualTo("5.6");
        assertThat(kept.form().of("idle")).isEqualTo("36.4");
        assertThat(kept.form().of("bias")).isEqualTo("fixed");
        assertThat(kept.form().of("tap")).isEqualTo("43");
    }
}
