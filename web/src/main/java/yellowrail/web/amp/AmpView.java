package yellowrail.web.amp;

import java.util.List;
import java.util.Map;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.words.Words;

/**
 * The amp sheet as it is shown.
 *
 * @param id the amp's number
 * @param version of the sheet
 * @param what what it is, in one line
 * @param facts the rest, as name and value
 * @param pots each pot in one line
 * @param quirks in the builder's words
 * @param notes in the builder's words
 * @param schematic the stage and its supply drawn, with what is written on the tubes
 */
record AmpView(
        long id,
        int version,
        String what,
        List<Fact> facts,
        List<String> pots,
        String quirks,
        String notes,
        SchematicView.Both schematic) {

    /** A line of the sheet. */
    record Fact(String name, String value) {}

    static AmpView of(Amp amp, TubeCatalogue catalogue, Map<String, String> seated, Words words) {
        AmpSheet sheet = amp.sheet();
        return new AmpView(
                amp.id(),
                amp.version(),
                words.say(sheet.told()),
                new SheetFacts(sheet, words).of(catalogue.find(sheet.tubeType())),
                sheet.pots().stream().map(pot -> pot(pot, words)).toList(),
                sheet.identity().quirks(),
                sheet.identity().notes(),
                SchematicView.of(sheet, catalogue, seated, words));
    }

    private static String pot(Pot pot, Words words) {
        String acts = pot.acts().isBlank() ? "" : " (" + pot.acts() + ")";
        return words.message(
                pot.verified() ? "page.amp.pot" : "page.amp.pot-not-verified",
                pot.name(),
                words.name(pot.action()) + acts,
                words.name(pot.hotter()));
    }
}
