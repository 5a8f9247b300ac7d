package yellowrail.web.amp;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.form.Faults;
import yellowrail.web.words.BundledWords;

class AmpFormDraftTest {

    private static final TubeCatalogue CATALOGUE = TubeCatalogue.published();

    private final AmpFormDraft draft = new AmpFormDraft(CATALOGUE);
    private final AmpForm first = named(draft.first(), "Bilberry");

    private static AmpForm named(AmpForm form, String name) {
        return of(form, name, "notes", "quirks", form.stage());
    }

    private static AmpForm with(AmpForm form, String topology, String type, String tubes, String stereo, String bias) {
        return of(
                form,
                form.name(),
                form.notes(),
                form.quirks(),
                new AmpForm.Stage(topology, type, form.stage().ratingSystem(), "", tubes, stereo, bias));
    }

    private static AmpForm of(AmpForm form, String name, String notes, String quirks, AmpForm.Stage stage) {
        return new AmpForm(
                form.version(),
                name,
                notes,
                quirks,
                stage,
                form.sockets(),
                form.pots(),
                form.current(),
                form.plate(),
                form.screen(),
                form.meter(),
                form.target(),
                form.supply(),
                form.link(),
                form.fittings(),
                form.accepted(),
                form.drawn());
    }

    @Test
    void theFirstFormNeedsOnlyAName() {
        Faults faults = new Faults(BundledWords.read());
        new AmpFormReader(first, CATALOGUE, faults).sheet();
        assertThat(faults.byField()).isEmpty();
    }

    @Test
    void cathodeBiasBringsItsWindowItsMethodAndNoPots() {
        AmpForm redrawn = draft.redrawn(with(first, "PUSH_PULL", "EL84", "4", "", "CATHODE_SHARED"), "stage.bias");
        assertThat(redrawn.target().high()).isEqualTo("100");
        assertThat(redrawn.current().method()).isEqualTo("CATHODE_RESISTOR");
        assertThat(redrawn.current().ohms()).isEmpty();
        assertThat(redrawn.pots()).isEmpty();
        assertThat(redrawn.sockets()).hasSize(4).allMatch(row -> row.testPoint().equals("TP"));
        assertThat(redrawn.name()).isEqualTo("Bilberry");
        assertThat(redrawn.quirks()).isEqualTo("quirks");
    }

    @Test
    void stereoNeedsAPairOnEachSideAndSingleEndedATubeOnEach() {
        assertThat(draft.redrawn(with(first, "PUSH_PULL", "EL34", "2", "on", "FIXED"), "stage.stereo")
                        .sockets())
                .hasSize(4);
        assertThat(draft.redrawn(with(first, "SINGLE_ENDED", "EL34", "2", "on", "FIXED"), "stage.topology")
                        .sockets())
                .hasSize(2);
        assertThat(draft.redrawn(with(first, "SINGLE_ENDED", "EL34", "2", "", "FIXED"), "stage.topology")
                        .sockets())
                .hasSize(1)
                .allMatch(row -> row.side().equals("SINGLE"));
    }

    @Test
    void anotherTypeBringsItsOwnRatingSystem() {
        assertThat(draft.redrawn(with(first, "PUSH_PULL", "6L6GC", "2", "", "FIXED"), "stage.tubeType")
                        .stage()
                        .ratingSystem())
                .isEqualTo("DESIGN_MAXIMUM");
    }

    @Test
    void nonsenseIsLeftAsItIs() {
        AmpForm odd = with(first, "SIDEWAYS", "12AX7", "many", "maybe", "WARM");
        for (String changed : new String[] {
            "stage.topology", "stage.tubes", "stage.tubeType", "target.school", "current.method", "", "x"
        }) {
            assertThat(draft.redrawn(odd, changed).name()).isEqualTo("Bilberry");
        }
        assertThat(draft.redrawn(first, "addPot").pots()).hasSize(first.pots().size() + 1);
    }
}
