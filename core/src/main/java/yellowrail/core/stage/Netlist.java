package yellowrail.core.stage;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import yellowrail.core.resource.TextResource;
import yellowrail.core.tube.model.PentodeModel;
import yellowrail.core.tube.model.TriodeModel;
import yellowrail.core.tube.model.TubeModel;

/**
 * A stage as a SPICE netlist: the tube as a behavioural subcircuit with the same equations, an ideal transformer of
 * controlled sources, a sine to the edge of grid current, {@code .tran} until the means have settled and {@code .four}
 * of the last cycle. The load is written as the primary sees it; an inductor across it carries the DC, as a core does.
 */
public final class Netlist {

    private static final String REMARKS = TextResource.read(Netlist.class, "remarks.cir");

    /** The tube as a subcircuit. */
    private static final String PENTODE = TextResource.read(Netlist.class, "tube.cir");

    private static final String TRIODE = TextResource.read(Netlist.class, "triode.cir");

    private static final double HERTZ = 1000;
    /** The core's reactance is this many times the load. */
    private static final double CORE = 62.8;

    private static final double BYPASS_FARADS = 470e-6;
    /** Seconds until the by-pass capacitor and the core have settled. */
    private static final double BYPASSED = 0.36;

    private static final double CORE_FILLED = 0.14;
    private static final int CYCLES_KEPT = 4;
    private static final double STEP = 2e-6;

    private final OutputStage stage;
    private final Performance performance;
    private final String title;
    private final StringBuilder text = new StringBuilder();

    /** @param title one line, what it is */
    public Netlist(Performance performance, String title) {
        this.stage = performance.stage();
        this.performance = performance;
        this.title = title.replaceAll("[^\\x20-\\x7e]", " ");
    }

    public String write() {
        text.setLength(0);
        Idle idle = performance.idle();
        double lift = idle.cathodeVolts();
        line("* %s", title);
        text.append(REMARKS);
        tube(stage.model(), 1);
        stage.otherSide().ifPresent(other -> tube(other.model(), 2));
        double shift = stage.bias().isCathode() ? -performance.gridVolts() - lift : 0;
        line(
                "vplates bplus 0 %s",
                number(
                        stage.losses().plateSag() > 0
                                ? performance.supplyVolts() + lift + shift
                                : idle.plateSupply() + lift));
        if (stage.tap() == 0) {
            line(
                    "vscreens screens 0 %s",
                    number(
                            stage.losses().screenSag() > 0
                                    ? performance.screenSupplyVolts() + lift + shift
                                    : idle.screenSupply() + lift));
        }
        line("vbias bias 0 %s", number(stage.bias().isCathode() ? 0 : idle.gridVolts()));
        side(1, 1);
        if (stage.isPushPull()) {
            side(2, -1);
        }
        cathodes();
        load();
        line(".options reltol=1e-5 abstol=1e-9 vntol=1e-6");
        double end = (stage.bias().isCathode() ? BYPASSED : CORE_FILLED) + CYCLES_KEPT / HERTZ;
        line(".save v(out)");
        line(".tran %s %s %s %s", number(STEP), number(end), number(end - CYCLES_KEPT / HERTZ), number(STEP));
        line(".four %s v(out)", number(HERTZ));
        line(".end");
        return text.toString();
    }

    private void tube(TubeModel model, int name) {
        if (model instanceof TriodeModel m) {
            text.append(String.format(
                    Locale.ROOT,
                    TRIODE,
                    stage.tubesPerSide(),
                    number(m.kp()),
                    number(m.mu()),
                    number(m.ex()),
                    number(m.kg1()),
                    number(m.kvb()),
                    name));
            return;
        }
        PentodeModel m = (PentodeModel) model;
        text.append(String.format(
                Locale.ROOT,
                PENTODE,
                stage.tubesPerSide(),
                number(m.kp()),
                number(m.mu()),
                number(m.ex()),
                number(m.kg1()),
                number(m.kvb()),
                number(m.early()),
                number(m.kg2()),
                number(m.f()),
                name));
    }

    /** One side: its half of the primary, which adds its ampere-turns to the load, and its tube. */
    private void side(int n, int sign) {
        double turns = stage.isPushPull() ? 0.5 : 1;
        String winding = "bplus";
        if (stage.losses().primary() > 0) {
            winding = "c" + n;
            line("rcopper%d bplus %s %s", n, winding, number(stage.losses().primary()));
        }
        if (stage.tap() > 0) {
            line("vt%d %s ct%d 0", n, winding, n);
            line("et%d ct%d t%d in 0 %s", n, n, n, number(sign * turns * stage.tap()));
            line("ft%d 0 in vt%d %s", n, n, number(sign * turns * stage.tap()));
            winding = "t" + n;
        }
        if (stage.tap() < 1) {
            line("vp%d %s cp%d 0", n, winding, n);
            line("ep%d cp%d p%d in 0 %s", n, n, n, number(sign * turns * (1 - stage.tap())));
            line("fp%d 0 in vp%d %s", n, n, number(sign * turns * (1 - stage.tap())));
            winding = "p" + n;
        }
        double offset = sign > 0
                ? 0
                : stage.otherSide().map(OutputStage.OtherSide::gridOffset).orElse(0.0);
        line(
                "vdrive%d g%d bias sin(%s %s %s)",
                n, n, number(offset), number(sign * performance.peakDrive()), number(HERTZ));
        String screen = stage.tap() == 1 ? winding : stage.isTapped() ? "t" + n : "screens";
        if (stage.losses().stopper() > 0) {
            line("rstopper%d %s s%d %s", n, screen, n, number(stage.losses().stopper() / stage.tubesPerSide()));
            screen = "s" + n;
        }
        line(
                "xtube%d %s %s g%d k tube%d",
                n, winding, screen, n, stage.otherSide().isPresent() ? n : 1);
    }

    private void cathodes() {
        if (stage.bias().isCathode()) {
            line("rk k 0 %s", number(stage.bias().ohms().getAsDouble()));
            line("ck k 0 %s", number(BYPASS_FARADS));
        } else {
            line("vk k 0 0");
        }
    }

    private void load() {
        double total = stage.totalOhms();
        line("rloss in out %s", number(Math.max(stage.losses().secondary(), 1e-3)));
        line("rload out 0 %s", number(stage.loadOhms()));
        line("lcore in 0 %s", number(CORE * total / (2 * Math.PI * HERTZ)));
    }

    private void line(String format, Object... values) {
        text.append(String.format(Locale.ROOT, format, values)).append('\n');
    }

    private static String number(double value) {
        return value == 0
                ? "0"
                : new BigDecimal(value)
                        .round(new MathContext(9))
                        .stripTrailingZeros()
                        .toPlainString();
    }
}
