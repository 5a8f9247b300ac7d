package yellowrail.core.discharge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.capacitor.Emptying;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** The capacitors of an amp's chart as they stand when the plug comes out, and what empties them. */
public final class Charge {

    private Charge() {}

    /**
     * The standby switch is taken to be where it joins them all; tubes are taken to draw nothing, as they do cold.
     *
     * @return empty where no capacitor is on the chart
     */
    public static Optional<Emptying> of(AmpSheet sheet) {
        return of(sheet, Moment.EMPTY);
    }

    /**
     * The same from no less than what was read.
     *
     * @param moment the readings of a run
     */
    static Optional<Emptying> of(AmpSheet sheet, Moment moment) {
        VoltageChart chart = sheet.chart();
        List<Emptying.Vessel> vessels = new ArrayList<>();
        List<Emptying.Link> links = new ArrayList<>();
        for (ChartNode node : chart.nodes()) {
            node.bank()
                    .ifPresent(bank -> vessels.add(new Emptying.Vessel(
                            node.label(), bank.wholeFarads(), beginning(node, bank, sheet, moment), toGround(node))));
        }
        for (ChartNode node : chart.nodes()) {
            if (node.bank().isPresent()) {
                node.feed()
                        .flatMap(feed -> feed.through())
                        .ifPresent(through -> chart.feeder(node)
                                .filter(feeder -> feeder.bank().isPresent())
                                .ifPresent(feeder ->
                                        links.add(new Emptying.Link(feeder.label(), node.label(), through.ohms()))));
            }
        }
        return vessels.isEmpty() ? Optional.empty() : Optional.of(new Emptying(vessels, links));
    }

    private static double beginning(ChartNode node, Bank bank, AmpSheet sheet, Moment moment) {
        return highest(node, sheet, moment)
                .map(cold -> cold.safeSide(bank.ratedVolts()))
                .orElse(bank.ratedVolts());
    }

    /** What a node may stand at, and no less than it was read to. */
    static Optional<ColdVolts> highest(ChartNode node, AmpSheet sheet, Moment moment) {
        Optional<ColdVolts> cold = ColdVolts.at(node, sheet);
        Optional<Double> read = moment.at(ReadingKind.NODE, node.label()).map(Reading::value);
        if (read.isPresent()
                && cold.filter(each -> Math.abs(each.volts()) >= Math.abs(read.get()))
                        .isEmpty()) {
            return Optional.of(
                    new ColdVolts(read.get(), cold.filter(ColdVolts::isMost).isPresent()));
        }
        return cold;
    }

    /** Its bleeders and whatever else leads from a supply to ground, in parallel. */
    static OptionalDouble toGround(ChartNode node) {
        double siemens = node.toGround()
                        .filter(resistor -> node.kind() != NodeKind.CATHODE)
                        .map(resistor -> 1 / resistor.ohms())
                        .orElse(0.0)
                + node.bank()
                        .map(Bank::wholeBleeder)
                        .filter(OptionalDouble::isPresent)
                        .map(ohms -> 1 / ohms.getAsDouble())
                        .orElse(0.0);
        return siemens > 0 ? OptionalDouble.of(1 / siemens) : OptionalDouble.empty();
    }

    /** What it should read, as far as that is known, V. */
    static OptionalDouble running(ChartNode node) {
        return node.expected().map(Expected::middle).map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }
}
