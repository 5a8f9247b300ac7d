package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * Fills in what follows from a choice. The form knows the choices it was drawn for; every field that still holds what
 * was usual for those gets what is usual for the present ones, every field that was touched keeps what was typed. So it
 * does not matter whether the form was drawn again between two choices, or at all before it was saved.
 */
final class AmpFormDraft {

    private final TubeCatalogue catalogue;

    AmpFormDraft(TubeCatalogue catalogue) {
        this.catalogue = catalogue;
    }

    AmpForm first() {
        return AmpFormWriter.form(
                new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                catalogue.find("EL34").orElseThrow(),
                                2,
                                false)
                        .sheet(),
                0);
    }

    /** @param changed the word addPot; any choice is seen by itself */
    AmpForm redrawn(AmpForm form, String changed) {
        AmpForm followed = follow(form);
        if (!changed.equals("addPot")) {
            return followed;
        }
        List<AmpForm.PotRow> pots = new ArrayList<>(followed.pots());
        pots.add(AmpForm.PotRow.blank());
        return followed.with(pots);
    }

    /** The form with everything that follows from its choices and was not touched. */
    AmpForm follow(AmpForm form) {
        AmpForm.Drawn was = form.drawn();
        String tubes = tubes(form);
        String method = followed(
                form.current().method(),
                usualMethod(was.bias()),
                usualMethod(form.stage().bias()));
        AmpForm.Drawn now = new AmpForm.Drawn(
                form.stage().topology(),
                form.stage().tubeType(),
                tubes,
                form.stage().stereo(),
                form.stage().bias(),
                method,
                form.target().school());
        if (was.equals(now)) {
            return form;
        }
        AmpForm before = usual(was, form.version());
        AmpForm after = usual(now, form.version());
        Function<Function<AmpForm, String>, String> field =
                of -> followed(of.apply(form), of.apply(before), of.apply(after));
        AmpForm.Stage stage = new AmpForm.Stage(
                form.stage().topology(),
                form.stage().tubeType(),
                field.apply(each -> each.stage().ratingSystem()),
                form.stage().ownPlateWatts(),
                tubes,
                form.stage().stereo(),
                form.stage().bias());
        AmpForm.Current current = new AmpForm.Current(
                method,
                field.apply(each -> each.current().ohms()),
                field.apply(each -> each.current().tolerance()),
                field.apply(each -> each.current().shows()),
                form.current().copperCold(),
                form.current().copperHot(),
                form.current().otherMilliamps());
        AmpForm.Meter meter = new AmpForm.Meter(
                form.meter().percent(),
                form.meter().digits(),
                form.meter().lastVolts(),
                field.apply(each -> each.meter().lastSense()),
                form.meter().mainsVolts(),
                form.meter().settleMinutes());
        return new AmpForm(
                form.version(),
                form.name(),
                form.notes(),
                form.quirks(),
                stage,
                sockets(form, before, after),
                pots(form, before, after),
                current,
                form.plate(),
                form.screen(),
                meter,
                window(form, before, after),
                form.supply(),
                form.link(),
                form.fittings(),
                form.accepted(),
                now);
    }

    private static String followed(String typed, String before, String after) {
        return Objects.equals(typed, before) ? after : typed;
    }

    private static String tubes(AmpForm form) {
        AmpForm.Drawn was = form.drawn();
        int usualBefore = AmpDefaults.least(choice(was.topology(), Topology.PUSH_PULL), "on".equals(was.stereo()));
        int least = AmpDefaults.least(
                choice(form.stage().topology(), Topology.PUSH_PULL),
                form.stage().isStereo());
        int typed = form.stage().tubes() != null && form.stage().tubes().matches("[1-8]")
                ? Integer.parseInt(form.stage().tubes())
                : usualBefore;
        return String.valueOf(typed == usualBefore ? least : Math.max(least, typed));
    }

    /** Rows that were not touched follow; touched ones stay as long as there are as many sockets. */
    private static List<AmpForm.SocketRow> sockets(AmpForm form, AmpForm before, AmpForm after) {
        boolean stay = !form.sockets().equals(before.sockets())
                && form.sockets().size() == after.sockets().size();
        return stay ? form.sockets() : after.sockets();
    }

    private static List<AmpForm.PotRow> pots(AmpForm form, AmpForm before, AmpForm after) {
        List<AmpForm.PotRow> typed = form.pots().stream()
                .map(row -> new AmpForm.PotRow(
                        row.name(),
                        row.action(),
                        row.acts(),
                        row.hotter(),
                        row.verified() == null ? "" : row.verified()))
                .toList();
        return typed.equals(before.pots()) ? after.pots() : form.pots();
    }

    /** A window told in another school's units means nothing; only shares of a rating have usual ones. */
    private static AmpForm.Window window(AmpForm form, AmpForm before, AmpForm after) {
        AmpForm.Window typed = form.target();
        AmpForm.Window was = before.target();
        boolean untouched = Objects.equals(typed.low(), was.low())
                && Objects.equals(typed.aim(), was.aim())
                && Objects.equals(typed.high(), was.high());
        boolean otherSchool = !Objects.equals(form.drawn().school(), typed.school());
        return untouched || otherSchool
                ? new AmpForm.Window(
                        typed.school(),
                        after.target().low(),
                        after.target().aim(),
                        after.target().high(),
                        otherSchool ? "" : typed.bands())
                : typed;
    }

    private AmpForm usual(AmpForm.Drawn choices, int version) {
        Topology topology = choice(choices.topology(), Topology.PUSH_PULL);
        BiasKind bias = choice(choices.bias(), BiasKind.FIXED_ADJUSTABLE);
        TubeType type = catalogue
                .find(choices.tubeType() == null ? "" : choices.tubeType())
                .orElse(catalogue.types().get(0));
        boolean stereo = "on".equals(choices.stereo());
        int tubes = choices.tubes() != null && choices.tubes().matches("[1-8]")
                ? Integer.parseInt(choices.tubes())
                : AmpDefaults.least(topology, stereo);
        AmpForm usual = AmpFormWriter.form(
                new AmpDefaults(topology, bias, type, tubes, stereo)
                        .sheet(choice(choices.method(), AmpDefaults.usualMethod(bias))),
                version);
        return new AmpForm(
                version,
                "",
                "",
                "",
                usual.stage(),
                usual.sockets(),
                usual.pots(),
                usual.current(),
                usual.plate(),
                usual.screen(),
                usual.meter(),
                usualWindow(choice(choices.school(), School.SHARE_OF_RATING), usual),
                usual.supply(),
                usual.link(),
                usual.fittings(),
                usual.accepted(),
                choices);
    }

    private static AmpForm.Window usualWindow(School school, AmpForm usual) {
        return switch (school) {
            case SHARE_OF_RATING -> usual.target();
            case HOT_CATHODE ->
                new AmpForm.Window(
                        school.name(), "100", "107", String.valueOf(Math.round(100 * Target.MOST_BY_CHOICE)), "");
            default -> new AmpForm.Window(school.name(), "", "", "", "");
        };
    }

    private static String usualMethod(String bias) {
        return AmpDefaults.usualMethod(choice(bias, BiasKind.FIXED_ADJUSTABLE)).name();
    }

    private static <E extends Enum<E>> E choice(String name, E otherwise) {
        return Arrays.stream(otherwise.getDeclaringClass().getEnumConstants())
                .filter(value -> value.name().equals(name))
                .findFirst()
                .orElse(otherwise);
    }
}
