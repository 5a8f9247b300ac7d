package yellowrail.web.amp;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Measuring;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PowerStage;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.meter.MeterAddress;
import yellowrail.web.meter.MeterException;

/** Makes a sheet of what was typed, and finds every fault in it in one pass. */
final class AmpFormReader {

    private static final int LONGEST_HOST = 80;
    private static final int LONGEST_NOTES = 4000;
    private static final int MOST_POTS = 12;
    private static final int MOST_BANDS = 12;
    private static final String NUMBER = "(\\d{1,4}(?:[.,]\\d{1,3})?)";
    private static final Pattern BAND =
            Pattern.compile("%s\\s*V?\\s*:?\\s+%s\\s+%s\\s+%s".formatted(NUMBER, NUMBER, NUMBER, NUMBER));

    private final AmpForm form;
    private final TubeCatalogue catalogue;
    private final Faults faults;
    private final FormReader read;

    AmpFormReader(AmpForm form, TubeCatalogue catalogue, Faults faults) {
        this.form = form;
        this.catalogue = catalogue;
        this.faults = faults;
        this.read = new FormReader(faults);
    }

    /** @return the sheet, without the chart, which has a page of its own; it counts only if no fault was found */
    AmpSheet sheet() {
        String name = read.requiredWords("name", form.name(), AmpName.LONGEST, "page.form.needed.amp-name");
        Topology topology = read.choice("stage.topology", form.stage().topology(), Topology.class);
        BiasKind bias = read.choice("stage.bias", form.stage().bias(), BiasKind.class);
        TubeType type = catalogue.find(form.stage().typed()).orElse(null);
        if (type == null) {
            faults.add("stage.tubeType", catalogue.unlisted(form.stage().typed()));
        }
        RatingSystem system = read.choice("stage.ratingSystem", form.stage().ratingSystem(), RatingSystem.class);
        if (type != null && type.rating(system).isEmpty()) {
            faults.say(
                    "stage.ratingSystem",
                    "page.form.no-such-rating",
                    type.name(),
                    faults.named(system),
                    String.join(
                            ", ",
                            type.ratings().stream()
                                    .map(rating -> faults.named(rating.system()))
                                    .toList()));
        }
        List<Socket> sockets = sockets(topology);
        CurrentSense current = current();
        return new AmpSheet(
                new Identity(
                        name,
                        read.words("notes", form.notes(), LONGEST_NOTES),
                        read.words("quirks", form.quirks(), LONGEST_NOTES)),
                new PowerStage(
                        topology,
                        type == null ? "" : type.name(),
                        system,
                        read.number("stage.ownPlateWatts", form.stage().ownPlateWatts(), Unit.WATT, 0.5, 1000),
                        sockets,
                        bias,
                        pots(),
                        accepted()),
                new Measuring(
                        current,
                        plate(),
                        screen(),
                        meter(current.shows()),
                        read.required("meter.mainsVolts", form.meter().mainsVolts(), Unit.VOLT, 80, 280),
                        settleMinutes(),
                        link()),
                target(current.shows(), bias, type, system),
                supply(),
                form.fittings().fittings(read, faults),
                VoltageChart.EMPTY,
                Optional.empty());
    }

    private Accepted accepted() {
        return new Accepted(
                read.number("accepted.plateVolts", form.accepted().plateVolts(), Unit.VOLT, 20, 2000),
                read.number("accepted.screenVolts", form.accepted().screenVolts(), Unit.VOLT, 20, 2000));
    }

    private Supply supply() {
        AmpForm.Supply typed = form.supply();
        return new Supply(
                read.choice("supply.rectifier", typed.rectifier(), Rectifier.class),
                "on".equals(typed.standby()),
                read.number("supply.secondaryVolts", typed.secondaryVolts(), Unit.VOLT, 20, 1000),
                read.number("supply.capacitorVolts", typed.capacitorVolts(), Unit.VOLT, 20, 2000),
                read.number("supply.otherMilliamps", typed.otherMilliamps(), Unit.MILLIAMP, 0, 1000),
                read.number("supply.resistorWatts", typed.resistorWatts(), Unit.WATT, 0.05, 500),
                read.number("supply.biasFeedOhms", typed.biasFeedOhms(), Unit.OHM, 1, 10_000_000),
                read.number("supply.biasShuntOhms", typed.biasShuntOhms(), Unit.OHM, 1, 10_000_000),
                read.number("supply.regulation", typed.regulation(), Unit.PERCENT, 0, 40),
                "on".equals(typed.behindStandby()),
                "on".equals(typed.bridge()),
                "on".equals(typed.biasRegulated()));
    }

    /** A link that could not be asked is found here, not at the bench with a lead in the other hand. */
    private MeterLink link() {
        String host = read.words("link.host", form.link().host(), LONGEST_HOST);
        String port = form.link().port() == null ? "" : form.link().port().strip();
        if (host.isEmpty() && port.isEmpty()) {
            return MeterLink.NONE;
        }
        if (!port.matches("\\d{1,5}") || Integer.parseInt(port) < 1 || Integer.parseInt(port) > 65_535) {
            faults.say("link.port", "page.form.no-port", quote(port));
            return MeterLink.NONE;
        }
        MeterLink link = new MeterLink(host, Integer.parseInt(port));
        try {
            MeterAddress.of(link);
        } catch (MeterException e) {
            faults.add("link.host", e.fault());
        }
        return link;
    }

    private double settleMinutes() {
        return Unit.MINUTE.fromSi(
                read.required("meter.settleMinutes", form.meter().settleMinutes(), Unit.MINUTE, 0, 240));
    }

    private List<Socket> sockets(Topology topology) {
        List<Socket> sockets = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        if (form.sockets().isEmpty() || form.sockets().size() > AmpSheet.MOST_SOCKETS) {
            faults.say("stage.tubes", "page.form.most-sockets", AmpSheet.MOST_SOCKETS);
            return List.of(new Socket("V1", Side.SINGLE, Channel.MONO, "V1"));
        }
        for (int i = 0; i < form.sockets().size(); i++) {
            AmpForm.SocketRow row = form.sockets().get(i);
            String field = "sockets[" + i + "].";
            String label = label(field + "label", row.label(), "page.form.needed.label");
            if (!labels.add(label.toUpperCase(Locale.ROOT))) {
                faults.say(field + "label", "page.form.label-twice", quote(label));
            }
            Side side = read.choice(field + "side", row.side(), Side.class);
            if ((side == Side.SINGLE) != (topology == Topology.SINGLE_ENDED)) {
                faults.say(
                        field + "side",
                        topology == Topology.SINGLE_ENDED ? "page.form.single-ended-side" : "page.form.push-pull-side");
            }
            String point = row.testPoint() == null || row.testPoint().isBlank()
                    ? label
                    : label(field + "testPoint", row.testPoint(), "page.form.needed.test-point");
            sockets.add(new Socket(label, side, read.choice(field + "channel", row.channel(), Channel.class), point));
        }
        points(sockets);
        return sockets;
    }

    /** A test point is its own socket's, or has a name that no socket has. */
    private void points(List<Socket> sockets) {
        for (int i = 0; i < sockets.size(); i++) {
            Socket socket = sockets.get(i);
            boolean another = sockets.stream()
                    .anyMatch(other -> other != socket
                            && other.label().equalsIgnoreCase(socket.testPoint())
                            && !other.testPoint().equalsIgnoreCase(socket.testPoint()));
            if (another) {
                faults.say("sockets[" + i + "].testPoint", "page.form.point-is-socket", quote(socket.testPoint()));
            }
        }
    }

    private String label(String field, String text, String what) {
        String label = read.requiredWords(field, text, 8, what);
        if (!label.isEmpty() && !label.matches("[A-Za-z][A-Za-z0-9.-]*")) {
            faults.say(field, "page.form.label-untypable", quote(label));
        } else if (EntryLine.isReserved(label)) {
            faults.say(field, "page.form.label-means-else", quote(label));
        }
        return label;
    }

    private List<Pot> pots() {
        List<Pot> pots = new ArrayList<>();
        if (form.pots().size() > MOST_POTS) {
            faults.say("pots[0].name", "page.form.most-pots", MOST_POTS);
            return pots;
        }
        for (int i = 0; i < form.pots().size(); i++) {
            AmpForm.PotRow row = form.pots().get(i);
            String field = "pots[" + i + "].";
            if (!row.isBlank()) {
                pots.add(new Pot(
                        read.words(field + "name", row.name(), 24),
                        read.choice(field + "action", row.action(), Pot.Action.class),
                        read.words(field + "acts", row.acts(), 40),
                        read.choice(field + "hotter", row.hotter(), Pot.Turn.class),
                        "on".equals(row.verified())));
            }
        }
        return pots;
    }

    private CurrentSense current() {
        CurrentMethod method = read.choice("current.method", form.current().method(), CurrentMethod.class);
        Unit shows = read.choice("current.shows", form.current().shows(), Unit.class);
        if (shows != Unit.MILLIVOLT && shows != Unit.VOLT && shows != Unit.MILLIAMP) {
            faults.say("current.shows", "page.form.shows");
            shows = Unit.MILLIVOLT;
        }
        OptionalDouble ohms = read.number("current.ohms", form.current().ohms(), Unit.OHM, 0.01, 100_000);
        if (shows != Unit.MILLIAMP
                && (form.current().ohms() == null || form.current().ohms().isBlank())) {
            faults.say("current.ohms", "page.form.ohms-needed", shows);
        }
        if (shows == Unit.MILLIAMP && method.acrossResistance() && method != CurrentMethod.STAGE_TEST_POINT) {
            faults.say("current.shows", "page.form.shows-volts");
        }
        OptionalDouble tolerance =
                read.number("current.tolerance", form.current().tolerance(), Unit.PERCENT, 0, 50);
        return new CurrentSense(
                method,
                ohms,
                tolerance.orElse(0),
                shows,
                read.number("current.copperCold", form.current().copperCold(), Unit.CELSIUS, -20, 80)
                        .orElse(CurrentSense.ROOM),
                read.number("current.copperHot", form.current().copperHot(), Unit.CELSIUS, -20, 180),
                read.number("current.otherMilliamps", form.current().otherMilliamps(), Unit.MILLIAMP, 0, 2000));
    }

    private PlateSense plate() {
        return new PlateSense(
                read.choice("plate.point", form.plate().point(), PlateSense.Point.class),
                read.choice("plate.reference", form.plate().reference(), PlateSense.Reference.class),
                read.number("plate.halfPrimaryOhms", form.plate().halfPrimaryOhms(), Unit.OHM, 0.1, 5000));
    }

    private ScreenSense screen() {
        ScreenSense.Connection connection =
                read.choice("screen.connection", form.screen().connection(), ScreenSense.Connection.class);
        OptionalDouble tap = read.number("screen.tap", form.screen().tap(), Unit.PERCENT, 1, 99);
        if (connection == ScreenSense.Connection.ULTRALINEAR
                && (form.screen().tap() == null || form.screen().tap().isBlank())) {
            faults.say("screen.tap", "page.form.tap-needed");
        }
        return new ScreenSense(
                read.choice("screen.way", form.screen().way(), ScreenSense.Way.class),
                read.number("screen.stopperOhms", form.screen().stopperOhms(), Unit.OHM, 1, 100_000),
                connection,
                tap);
    }

    private MeterAccuracy meter(Unit shows) {
        return new MeterAccuracy(
                read.required("meter.percent", form.meter().percent(), Unit.PERCENT, 0, 20),
                read.count("meter.digits", form.meter().digits(), 0, 100),
                read.required("meter.lastVolts", form.meter().lastVolts(), Unit.VOLT, 0, 10),
                read.required("meter.lastSense", form.meter().lastSense(), shows, 0, 100));
    }

    private Target target(Unit shows, BiasKind bias, TubeType type, RatingSystem system) {
        School school = read.choice("target.school", form.target().school(), School.class);
        if (school == School.HOT_CATHODE
                && (!bias.isCathode() || type != null && system != RatingSystem.DESIGN_CENTRE)) {
            faults.say("target.school", "page.form.over-by-choice");
        }
        Unit unit = school.unit(shows);
        double most = unit != Unit.PERCENT ? 5000 : school == School.HOT_CATHODE ? 100 * Target.MOST_BY_CHOICE : 100;
        List<Target.Band> bands = bands(school, unit);
        if (!bands.isEmpty()) {
            Target.Band middle = bands.get(bands.size() / 2);
            return new Target(school, middle.low(), middle.aim(), middle.high(), bands);
        }
        double low = read.required("target.low", form.target().low(), unit, 0, most);
        double aim = read.required("target.aim", form.target().aim(), unit, 0, most);
        double high = read.required("target.high", form.target().high(), unit, 0, most);
        if (low <= aim && aim <= high && low < high) {
            return new Target(school, low, aim, high);
        }
        faults.say("target.aim", "page.form.window-order");
        return Target.FIXED_BIAS;
    }

    /** A line for each plate voltage, as builders have it on paper: {@code 400: 32 36 40}. */
    private List<Target.Band> bands(School school, Unit unit) {
        String typed =
                form.target().bands() == null ? "" : form.target().bands().strip();
        if (typed.isEmpty() || school != School.CURRENT_WINDOW) {
            return List.of();
        }
        List<Target.Band> bands = new ArrayList<>();
        for (String line : typed.split("\\R")) {
            Matcher row = BAND.matcher(line.strip());
            if (!row.matches() || bands.size() == MOST_BANDS) {
                faults.say("target.bands", "page.form.no-band", quote(line.strip()), unit, MOST_BANDS);
                return List.of();
            }
            double[] figures = IntStream.rangeClosed(1, 4)
                    .mapToDouble(i -> Double.parseDouble(row.group(i).replace(',', '.')))
                    .toArray();
            if (!(figures[0] > 0 && figures[1] <= figures[2] && figures[2] <= figures[3] && figures[1] < figures[3])) {
                faults.say("target.bands", "page.form.band-order", quote(line.strip()));
                return List.of();
            }
            bands.add(new Target.Band(figures[0], unit.toSi(figures[1]), unit.toSi(figures[2]), unit.toSi(figures[3])));
        }
        return bands;
    }
}
