package yellowrail.web.walk;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.audit.PartCurrent;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.walk.AmpAudit;
import yellowrail.core.walk.AuditTeller;
import yellowrail.core.walk.DrivenAudit;
import yellowrail.core.walk.StageCurrent;
import yellowrail.web.words.Words;

/**
 * Where the current goes, as the page shows it.
 *
 * @param says what the sums tell
 * @param parts each resistor as a meter
 * @param stages the current of each stage, by its plates and by its cathodes
 */
record AuditView(List<String> says, List<Part> parts, List<Stage> stages) {

    /** Below it two decimals show nothing, W. */
    private static final double LEAST_WATTS = 0.005;

    /** A resistor with what it carries. */
    record Part(String from, String to, String ohms, String milliamps, String watts, String driven, String ofRating) {}

    /** A stage. */
    record Stage(String name, String plates, String cathodes, String agree) {}

    static AuditView of(AmpAudit audit, AmpSheet sheet, Optional<DrivenAudit> driven, Words words) {
        return new AuditView(
                words.say(new AuditTeller(audit, sheet, driven).says()),
                audit.currents().stream()
                        .map(current -> part(current, driven, words))
                        .toList(),
                audit.stages().stream().map(stage -> stage(stage, words)).toList());
    }

    private static Part part(PartCurrent current, Optional<DrivenAudit> driven, Words words) {
        boolean ground = current.part().to().equals(yellowrail.core.audit.Part.GROUND);
        return new Part(
                current.part().from(),
                ground ? words.message("page.walk.ground") : current.part().to(),
                ohms(current.part().ohms()),
                milliamps(current.amps(), current.plusMinus()),
                watts(current.watts()),
                driven.filter(full -> full.amps(current) != current.amps())
                        .map(full -> watts(full.watts(current)))
                        .orElse(""),
                current.ofRating().isPresent()
                        ? Figures.percent(current.ofRating().getAsDouble())
                        : "");
    }

    private static String watts(double watts) {
        return watts < LEAST_WATTS ? "< " + Figures.watts(2 * LEAST_WATTS) : Figures.watts(watts);
    }

    private static String ohms(double ohms) {
        return Figures.in(ohms < 1000 ? Unit.OHM : Unit.KILOHM, ohms);
    }

    private static String milliamps(double amps, double plusMinus) {
        return Figures.aligned(amps, plusMinus, Unit.MILLIAMP);
    }

    private static Stage stage(StageCurrent stage, Words words) {
        return new Stage(
                stage.stage(),
                amps(stage.plates()),
                amps(stage.cathodes()),
                stage.agree()
                        .map(agree -> words.message(agree ? "page.walk.agree" : "page.walk.disagree"))
                        .orElse(""));
    }

    private static String amps(Optional<StageCurrent.Amps> amps) {
        return amps.map(each -> milliamps(each.value(), each.plusMinus())).orElse("");
    }
}
