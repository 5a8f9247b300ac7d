package yellowrail.web.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.part.Fuse;
import yellowrail.core.part.ScreenStopper;
import yellowrail.core.part.SenseResistor;
import yellowrail.core.part.stress.CapacitorReview;
import yellowrail.core.part.stress.FuseReview;
import yellowrail.core.part.stress.MainsDraw;
import yellowrail.core.part.stress.OutputCopper;
import yellowrail.core.part.stress.PartRemark;
import yellowrail.core.part.stress.RectifiedSupply;
import yellowrail.core.part.stress.ScreenCurrents;
import yellowrail.core.part.stress.SenseReview;
import yellowrail.core.part.stress.StageCurrents;
import yellowrail.core.part.stress.StopperReview;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.web.part.AmpPartsForm.Parts;
import yellowrail.web.part.LadderView.Mark;
import yellowrail.web.part.LadderView.Movable;
import yellowrail.web.words.Words;

/**
 * One kind of part: what it has to bear, drawn, and what is to be said of it.
 *
 * @param id of its section
 * @param how it comes about, and how sure it is
 * @param ladder drawn; null where there is nothing to draw
 * @param facts more figures
 */
record PartsOfAmpView(
        String id, String title, String axis, String how, LadderView ladder, List<String> says, List<String> facts) {

    private static final double A_MINUTE = 60;
    /** What capacitance an old electrolytic has left before it counts as worn. */
    private static final double AGED = 0.8;

    private static final double NO_END = Double.POSITIVE_INFINITY;

    static PartsOfAmpView sense(SenseResistor sense, StageCurrents flows, Words words) {
        OutputCopper copper = new OutputCopper(flows.side());
        List<Mark> marks = List.of(
                amps(words, "idle", flows.idle(), false),
                amps(words, "drive", flows.drive(), flows.drive() > sense.ratedAmps()),
                amps(words, "rated", sense.ratedAmps(), false),
                amps(words, "most", flows.most(), flows.most() < sense.opensFrom()),
                amps(words, "copper", copper.ampsFor(A_MINUTE), copper.ampsFor(A_MINUTE) < sense.opensFrom()));
        return of(
                "sense",
                LadderView.of(
                        marks,
                        sense.opensFrom(),
                        sense.opensBy(),
                        new Movable(
                                "senseWatts",
                                sense.opensFrom(),
                                StandardValues.WATTS.stream()
                                        .map(Figures::plain)
                                        .toList(),
                                StandardValues.WATTS.stream()
                                        .map(watts -> new SenseResistor(
                                                        sense.ohms(), sense.tolerance(), watts, sense.kind())
                                                .opensFrom())
                                        .toList()),
                        true),
                SenseReview.of(sense, flows),
                List.of(),
                words);
    }

    static PartsOfAmpView stopper(Parts parts, StageCurrents flows, Words words) {
        ScreenCurrents screens = ScreenCurrents.of(flows.driven(), parts.stopper());
        List<Mark> marks = List.of(
                burns(words, "idle", parts.stopper(), screens.idle()),
                burns(words, "drive", parts.stopper(), screens.drive()),
                burns(words, "overdriven", parts.stopper(), screens.overdriven()));
        double rated = parts.stopper().ratedWatts();
        return of(
                "stopper",
                parts.stopper().ohms() > 0
                        ? LadderView.of(
                                marks, rated, NO_END, movable("stopperWatts", rated, StandardValues.WATTS), true)
                        : null,
                List.of(StopperReview.of(parts.stopper(), screens)),
                List.of(words.message(
                        "page.parts.lost",
                        Figures.volts(parts.stopper().lostVolts(screens.idle())),
                        Figures.volts(parts.stopper().lostVolts(screens.peak())),
                        Figures.in(Unit.MILLIAMP, round(screens.peak())))),
                words);
    }

    /** @param driven the supply at full drive; empty where it could not be fitted */
    static PartsOfAmpView capacitor(
            Parts parts,
            CapacitorReview review,
            Optional<RectifiedSupply.Drawn> driven,
            List<PartRemark> about,
            Words words) {
        List<Finding> says = new ArrayList<>(review.voltage(parts.rated()));
        List<String> facts = new ArrayList<>();
        driven.ifPresent(drawn -> {
            says.add(CapacitorReview.ripple(drawn.rippleAmps(), parts.rippleRated()));
            facts.add(words.message(
                    "page.parts.ripple", Figures.fixed(drawn.ripple(), 0), Figures.fixed(drawn.ripple() / AGED, 0)));
        });
        says.addAll(about);
        says.add(CapacitorReview.life(parts.life(), parts.celsius(), parts.weekly()));
        List<Mark> marks = review.volts().entrySet().stream()
                .map(at -> new Mark(
                        words.message(
                                "page.parts.mark.volts", words.name(at.getKey()), Figures.fixed(at.getValue(), 0)),
                        at.getValue(),
                        parts.rated().isPresent()
                                && at.getValue() > parts.rated().getAsDouble()))
                .toList();
        double rated = parts.rated().orElse(review.most());
        return of(
                "capacitor",
                LadderView.of(marks, rated, NO_END, movable("rated", rated, StandardValues.CAPACITOR_VOLTS), false),
                says,
                facts,
                words);
    }

    static PartsOfAmpView plateFuse(Optional<Fuse> fitted, StageCurrents flows, Words words) {
        return fuse(
                "plateFuse",
                fitted.orElse(Fuse.carrying(flows.supplyDrive())),
                List.of(
                        amps(words, "idle", flows.supplyIdle(), false),
                        amps(words, "drive", flows.supplyDrive(), false),
                        amps(words, "most", flows.supplyAtMost(), false)),
                FuseReview.ofPlateSupply(fitted, flows),
                List.of(),
                words);
    }

    /**
     * @param idle from the mains
     * @param drive the same at full drive
     */
    static PartsOfAmpView mainsFuse(Optional<Fuse> fitted, MainsDraw idle, MainsDraw drive, Words words) {
        return fuse(
                "mainsFuse",
                fitted.orElse(Fuse.carrying(drive.amps())),
                List.of(amps(words, "idle", idle.amps(), false), amps(words, "drive", drive.amps(), false)),
                FuseReview.carrying(fitted, drive.amps()),
                List.of(words.message(
                        "page.parts.mains",
                        Figures.fixed(drive.heaterWatts(), 0),
                        Figures.fixed(drive.plateVoltAmperes(), 0),
                        Figures.fixed(drive.mainsVolts(), 0))),
                words);
    }

    private static PartsOfAmpView fuse(
            String id, Fuse fuse, List<Mark> marks, List<PartRemark> says, List<String> facts, Words words) {
        return of(
                id,
                LadderView.of(
                        marks,
                        Fuse.HOLDS * fuse.amps(),
                        Fuse.OPENS * fuse.amps(),
                        new Movable(
                                id,
                                Fuse.HOLDS * fuse.amps(),
                                Fuse.VALUES.stream().map(Figures::plain).toList(),
                                Fuse.VALUES.stream()
                                        .map(value -> Fuse.HOLDS * value)
                                        .toList()),
                        true),
                says,
                facts,
                words);
    }

    private static Movable movable(String field, double at, List<Double> values) {
        return new Movable(field, at, values.stream().map(Figures::plain).toList(), values);
    }

    private static PartsOfAmpView of(
            String id, LadderView ladder, List<? extends Finding> says, List<String> facts, Words words) {
        return new PartsOfAmpView(
                id,
                words.message("page.parts.section." + id),
                words.message("page.parts.axis." + id),
                words.message("page.parts.how." + id),
                ladder,
                words.say(says),
                facts);
    }

    private static Mark amps(Words words, String name, double amps, boolean over) {
        Unit unit = amps < 1 ? Unit.MILLIAMP : Unit.AMP;
        return new Mark(words.message("page.parts.mark." + name, Figures.in(unit, round(amps))), amps, over);
    }

    private static Mark burns(Words words, String name, ScreenStopper stopper, double rms) {
        double burns = stopper.watts(rms);
        return new Mark(words.message("page.parts.mark." + name, watts(burns)), burns, burns > stopper.ratedWatts());
    }

    private static String watts(double watts) {
        return watts < 0.1 ? Figures.fixed(1000 * watts, 0) + " mW" : Figures.in(Unit.WATT, round(watts));
    }

    private static double round(double value) {
        return Figures.rounded(value, 3);
    }
}
