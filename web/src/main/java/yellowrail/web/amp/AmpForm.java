package yellowrail.web.amp;

import java.util.List;
import java.util.Objects;

/**
 * An amp sheet as typed: every field the text it was, so that nothing is lost when something is wrong with it.
 * {@link AmpFormWriter} fills it from a sheet, {@link AmpFormReader} makes a sheet of it.
 */
record AmpForm(
        int version,
        String name,
        String notes,
        String quirks,
        Stage stage,
        List<SocketRow> sockets,
        List<PotRow> pots,
        Current current,
        Plate plate,
        Screen screen,
        Meter meter,
        Window target,
        Supply supply,
        Link link,
        FittingsForm fittings,
        Accepted accepted,
        Drawn drawn) {

    /** What decides most of the rest. */
    record Stage(
            String topology,
            String tubeType,
            String ratingSystem,
            String ownPlateWatts,
            String tubes,
            String stereo,
            String bias) {

        /** The type as it was typed; blank where it was not sent. */
        String typed() {
            return tubeType == null ? "" : tubeType;
        }

        public boolean isStereo() {
            return "on".equals(stereo);
        }
    }

    /** A socket's row. */
    record SocketRow(String label, String side, String channel, String testPoint) {}

    /** A pot's row; one without a name does not count. */
    record PotRow(String name, String action, String acts, String hotter, String verified) {

        static PotRow blank() {
            return new PotRow("", "ALL", "", "UNKNOWN", "");
        }

        public boolean isBlank() {
            return name == null || name.isBlank();
        }
    }

    /** How current is read. */
    record Current(
            String method,
            String ohms,
            String tolerance,
            String shows,
            String copperCold,
            String copperHot,
            String otherMilliamps) {}

    /** Where plate voltage is read. */
    record Plate(String point, String reference, String halfPrimaryOhms) {}

    /** How screen current is counted. */
    record Screen(String way, String stopperOhms, String connection, String tap) {}

    /** The meter, the mains and the clock. */
    record Meter(
            String percent,
            String digits,
            String lastVolts,
            String lastSense,
            String mainsVolts,
            String settleMinutes) {}

    /** The school and its window. */
    record Window(String school, String low, String aim, String high, String bands) {}

    /** Volts over a published limit, taken on knowingly. */
    record Accepted(String plateVolts, String screenVolts) {}

    /**
     * The choices that the form was drawn for: where one has changed since, what follows from it and was not touched is
     * changed too.
     */
    record Drawn(
            String topology, String tubeType, String tubes, String stereo, String bias, String method, String school) {

        /** A box that is not ticked is not sent at all. */
        Drawn {
            stereo = stereo == null ? "" : stereo;
        }
    }

    /** What feeds the stage; all of it may be empty. */
    record Supply(
            String rectifier,
            String standby,
            String secondaryVolts,
            String capacitorVolts,
            String otherMilliamps,
            String resistorWatts,
            String biasFeedOhms,
            String biasShuntOhms,
            String regulation,
            String behindStandby,
            String bridge,
            String biasRegulated) {

        static final Supply BLANK = new Supply("UNKNOWN", "", "", "", "", "", "", "", "", "", "", "");
    }

    /** Where the meter can be asked; empty where readings are typed. */
    record Link(String host, String port) {}

    AmpForm {
        supply = supply != null && supply.rectifier() != null ? supply : Supply.BLANK;
        fittings = fittings != null ? fittings : FittingsForm.BLANK;
        link = link != null ? link : new Link("", "");
        sockets = sockets == null
                ? List.of()
                : sockets.stream().filter(Objects::nonNull).toList();
        pots = pots == null ? List.of() : pots.stream().filter(Objects::nonNull).toList();
        stage = stage != null ? stage : new Stage("", "", "", "", "", "", "");
        current = current != null ? current : new Current("", "", "", "", "", "", "");
        plate = plate != null ? plate : new Plate("", "", "");
        screen = screen != null ? screen : new Screen("", "", "", "");
        meter = meter != null ? meter : new Meter("", "", "", "", "", "");
        target = target != null ? target : new Window("", "", "", "", "");
        accepted = accepted != null ? accepted : new Accepted("", "");
        drawn = drawn != null && drawn.topology() != null
                ? drawn
                : new Drawn(
                        stage.topology(),
                        stage.tubeType(),
                        stage.tubes(),
                        stage.stereo(),
                        stage.bias(),
                        current.method(),
                        target.school());
    }

    /** The same form edited from another version. */
    AmpForm with(int other) {
        return new AmpForm(
                other, name, notes, quirks, stage, sockets, pots, current, plate, screen, meter, target, supply, link,
                fittings, accepted, drawn);
    }

    AmpForm with(List<PotRow> others) {
        return new AmpForm(
                version, name, notes, quirks, stage, sockets, others, current, plate, screen, meter, target, supply,
                link, fittings, accepted, drawn);
    }
}
