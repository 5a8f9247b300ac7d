package yellowrail.web.amp;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.form.Faults;
import yellowrail.web.form.RecordFields;
import yellowrail.web.words.BundledWords;
import yellowrail.web.words.Words;

class FormDifferenceTest {

    private static final TubeCatalogue CATALOGUE = TubeCatalogue.published();

    private final Words words = BundledWords.read();
    private final AmpForm theirs = new AmpFormDraft(CATALOGUE).first();

    private List<FormDifference> difference(AmpForm mine) {
        return FormDifference.between(theirs, mine, AmpChoices.of(CATALOGUE, mine, words), words);
    }

    @Test
    void fieldsAndChoicesAreCalledAsOnTheForm() {
        var sheet = new AmpFormReader(theirs.with(1), CATALOGUE, Faults.counted()).sheet();
        Socket first = sheet.sockets().get(0);
        AmpForm mine = AmpFormWriter.form(
                sheet.with(sheet.stage().with(BiasKind.FIXED))
                        .withPots(List.of(new Pot("MYPOT", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)))
                        .withSockets(List.of(
                                new Socket("LEFT", Side.PULL, first.channel(), first.testPoint()),
                                sheet.sockets().get(1))),
                7);
        assertThat(difference(mine))
                .contains(
                        new FormDifference("Bias", "fixed, adjustable", "fixed, not adjustable"),
                        new FormDifference("Socket 1: Label", "V1", "LEFT"),
                        new FormDifference("Socket 1: Side", "push", "pull"),
                        new FormDifference("Pot 1: Name (empty: no pot)", "RANGE", "MYPOT"),
                        new FormDifference("Pot 1: Hotter when turned", "not known", "clockwise"));
    }

    @Test
    void nothingDiffersWhereOnlyTheVersionDoes() {
        assertThat(difference(theirs.with(12))).isEmpty();
    }

    /** What the form asks for has its name on the form, whatever is added to it. */
    @Test
    void everyFieldOfTheFormHasItsLabel() {
        RecordFields.of(theirs).keySet().stream()
                .filter(field -> !field.equals("version") && !field.startsWith("drawn."))
                .map(field -> "page.amp.field." + field.replaceAll("\\[\\d+]", ""))
                .forEach(key -> assertThat(words.message(key)).as(key).isNotEqualTo(key));
    }
}
