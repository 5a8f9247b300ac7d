package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * Redraws a half-filled form after one of the choices that others follow from: what depends on the choice gets its
 * usual value, everything else keeps what was typed.
 */
final class AmpFormDraft {

    private final TubeCatalogue catalogue;

    AmpFormDraft(TubeCatalogue catalogue) {
        this.catalogue = catalogue;
    }

    AmpForm first() {
        return AmpFormWriter.form(new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE,
                catalogue.find("EL34").orElseThrow(), 2, false).sheet(), 0);
    }

    /** @param changed the field that was changed, or the word addPot */
    AmpForm redrawn(AmpForm form, String changed) {
        AmpForm usual = AmpFormWriter.form(defaults(form, changed), form.version());
        AmpForm.Stage stage = form.stage();
        return switch (changed) {
            case "stage.topology", "stage.bias" -> with(form, tubes(stage, usual), usual.sockets(), usual.pots(), usual.current(),
                    lastSense(form, usual.meter().lastSense()), usual.target());
            case "stage.tubes", "stage.stereo" -> with(form, tubes(stage, usual), usual.sockets(), form.pots(), form.current(),
                    form.meter(), form.target());
            case "stage.tubeType" -> with(form, new AmpForm.Stage(stage.topology(), stage.tubeType(), usual.stage().ratingSystem(),
                    stage.ownPlateWatts(), stage.tubes(), stage.stereo(), stage.bias()), form.sockets(), form.pots(), form.current(),
                    form.meter(), form.target());
            case "target.school" -> with(form, stage, form.sockets(), form.pots(), form.current(), form.meter(), window(form, usual));
            case "current.method" -> method(form);
            case "addPot" -> {
                List<AmpForm.PotRow> pots = new ArrayList<>(form.pots());
                pots.add(AmpForm.PotRow.blank());
                yield with(form, stage, form.sockets(), pots, form.current(), form.meter(), form.target());
            }
            default -> form;
        };
    }

    private AmpSheet defaults(AmpForm form, String changed) {
        Topology topology = choice(form.stage().topology(), Topology.PUSH_PULL);
        TubeType type = catalogue.find(form.stage().tubeType() == null ? "" : form.stage().tubeType()).orElse(catalogue.types().get(0));
        return new AmpDefaults(topology, choice(form.stage().bias(), BiasKind.FIXED_ADJUSTABLE), type,
                howMany(form.stage(), topology, changed), form.stage().isStereo()).sheet();
    }

    private static int howMany(AmpForm.Stage stage, Topology topology, String changed) {
        int typed = stage.tubes() != null && stage.tubes().matches("[1-8]") ? Integer.parseInt(stage.tubes()) : 2;
        int least = (topology == Topology.SINGLE_ENDED ? 1 : 2) * (stage.isStereo() ? 2 : 1);
        return changed.equals("stage.tubes") ? typed : changed.equals("stage.topology") ? least : Math.max(least, typed);
    }

    private static <E extends Enum<E>> E choice(String name, E otherwise) {
        return Arrays.stream(otherwise.getDeclaringClass().getEnumConstants())
                .filter(value -> value.name().equals(name)).findFirst().orElse(otherwise);
    }

    private static AmpForm.Stage tubes(AmpForm.Stage stage, AmpForm usual) {
        return new AmpForm.Stage(stage.topology(), stage.tubeType(), stage.ratingSystem(), stage.ownPlateWatts(),
                usual.stage().tubes(), stage.stereo(), stage.bias());
    }

    private static AmpForm.Meter lastSense(AmpForm form, String lastSense) {
        AmpForm.Meter meter = form.meter();
        return new AmpForm.Meter(meter.percent(), meter.digits(), meter.lastVolts(), lastSense, meter.mainsVolts(), meter.settleMinutes());
    }

    /** Another school tells its window in other units: only the share of the rating has a usual one. */
    private static AmpForm.Window window(AmpForm form, AmpForm usual) {
        return School.SHARE_OF_RATING.name().equals(form.target().school()) ? usual.target()
                : new AmpForm.Window(form.target().school(), "", "", "");
    }

    private static AmpForm method(AmpForm form) {
        CurrentMethod method = choice(form.current().method(), CurrentMethod.SENSE_EACH);
        Unit shows = !method.acrossResistance() ? Unit.MILLIAMP
                : method.liftsCathode() && method != CurrentMethod.CATHODE_RESISTOR ? Unit.MILLIVOLT : Unit.VOLT;
        AmpForm.Current typed = form.current();
        AmpForm.Current current = new AmpForm.Current(typed.method(), method.acrossResistance() ? typed.ohms() : "", typed.tolerance(),
                shows.name(), typed.copperCold(), typed.copperHot(), typed.otherMilliamps());
        return with(form, form.stage(), form.sockets(), form.pots(), current, lastSense(form, shows == Unit.VOLT ? "0.01" : "0.1"), form.target());
    }

    private static AmpForm with(AmpForm form, AmpForm.Stage stage, List<AmpForm.SocketRow> sockets, List<AmpForm.PotRow> pots,
                                AmpForm.Current current, AmpForm.Meter meter, AmpForm.Window target) {
        return new AmpForm(form.version(), form.name(), form.notes(), form.quirks(), stage, sockets, pots, current, form.plate(),
                form.screen(), meter, target, form.supply(), form.link(), form.fittings());
    }
}
