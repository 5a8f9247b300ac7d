package yellowrail.web.bias;

import java.util.List;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.cathode.CathodeGroup;
import yellowrail.core.bias.cathode.OwnResistor;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.web.words.Words;

/**
 * A resistor of its own for each tube that was read.
 *
 * @param says how far they lie apart on a common one and on their own
 */
record OwnView(String says, List<Row> rows) {

    /** A tube. */
    record Row(String socket, String reads, String shared, String exact, String take, String draws, String rating) {}

    static OwnView of(BiasService.OnTheBench amp, CathodeDesign design, Words words) {
        CathodeGroup group = design.group();
        List<OwnResistor> own =
                OwnResistor.of(amp.tubes(), group.plate(), group.screen(), design.wanted(), StandardValues.E24);
        return new OwnView(
                words.message(
                        "page.cathode.own-says",
                        percent(own.stream().map(OwnResistor::shared).toList()),
                        percent(own.stream().map(each -> each.idle().meanAmps()).toList())),
                own.stream().map(OwnView::row).toList());
    }

    private static String percent(List<Double> amps) {
        return Figures.fixed(Unit.PERCENT.fromSi(OwnResistor.spread(amps)), 1);
    }

    private static Row row(OwnResistor own) {
        return new Row(
                own.tube().label(),
                Figures.milliamps(own.tube().reads()),
                Figures.milliamps(own.shared()),
                Figures.resistance(own.exact()),
                Figures.resistance(own.idle().ohms()),
                Figures.milliamps(own.idle().meanAmps()),
                Figures.in(Unit.WATT, CathodeDesign.ratingBesideCapacitor(own.idle())));
    }
}
