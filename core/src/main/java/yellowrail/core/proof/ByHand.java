package yellowrail.core.proof;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.proof.Measured.Conditions;
import yellowrail.core.quantity.ErrorBudget.Input;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ProofLine;
import yellowrail.core.reading.ProofLine.Figure;
import yellowrail.core.reading.ProofLine.Role;
import yellowrail.core.reading.ProofLine.What;
import yellowrail.core.reading.Reading;

/**
 * What was typed of the output, as figures. A load that was told holds until another one is.
 *
 * <p>Taken for a meter on AC volts: 1 % of the reading and 3 of the last digit typed; for a scope's picture: 3 % and
 * the last digit of its divisions; for a resistance, watts and percents: half their last digit.
 *
 * @param reading the line
 * @param line what it says
 * @param volts out, RMS
 * @param load it was taken across
 * @param loadFromBefore whether that was told on an earlier line
 * @param watts into it
 * @param figures what is compared; none where it says too little
 */
public record ByHand(
        Reading reading,
        ProofLine line,
        Optional<Input> volts,
        Optional<Input> load,
        boolean loadFromBefore,
        Optional<Estimate> watts,
        List<Measured> figures) {

    private static final double METER = 0.01;
    private static final double METER_DIGITS = 3;
    private static final double SCOPE = 0.03;
    private static final double SCOPE_DIGITS = 1;
    /** An edge below is the lower one, Hz. */
    private static final double MIDDLE = 500;

    public ByHand {
        figures = List.copyOf(figures);
    }

    /** @param readings of any kind, in the order of what happened */
    public static List<ByHand> all(List<Reading> readings) {
        List<ByHand> all = new ArrayList<>();
        Optional<Input> load = Optional.empty();
        for (Reading reading : readings) {
            Optional<ProofLine> line = ProofLine.of(reading.entry());
            if (line.isPresent()) {
                ByHand read = of(reading, line.get(), load);
                load = read.load;
                all.add(read);
            }
        }
        return all;
    }

    private static ByHand of(Reading reading, ProofLine line, Optional<Input> before) {
        Optional<Input> told = line.figure(Role.LOAD).map(ohms -> halfADigit("R", ohms, Unit.OHM));
        Optional<Input> load = told.or(() -> before);
        Optional<Input> volts = line.figure(Role.OUTPUT).map(figure -> volts("V", figure, line.scope()));
        Optional<Estimate> watts = line.figure(Role.POWER)
                .map(figure -> exactly(halfADigit("P", figure, Unit.WATT)))
                .or(() -> volts.flatMap(v -> load.map(r -> ProofArithmetic.watts(v, r))));
        return new ByHand(
                reading,
                line,
                volts,
                load,
                told.isEmpty() && load.isPresent(),
                watts,
                figures(line, volts, load, watts, reading.takenAt()));
    }

    private static List<Measured> figures(
            ProofLine line, Optional<Input> volts, Optional<Input> load, Optional<Estimate> watts, Instant taken) {
        OptionalDouble ohms = load.map(r -> OptionalDouble.of(r.value())).orElse(OptionalDouble.empty());
        OptionalDouble tone = told(line, Role.TONE);
        OptionalDouble none = OptionalDouble.empty();
        Conditions at = new Conditions(ohms, tone, none, told(line, Role.BAND), none);
        List<Measured> figures = new ArrayList<>();
        switch (line.what()) {
            case CLIPS -> watts.ifPresent(full -> figures.add(typed(ProofKind.FULL_POWER, full, at, taken)));
            case HUM -> figures.add(typed(ProofKind.METER_HUM, exactly(volts.orElseThrow()), at, taken));
            case NOISE -> figures.add(typed(ProofKind.METER_NOISE, exactly(volts.orElseThrow()), at, taken));
            case THD, THD_NOISE -> {
                Conditions loud = new Conditions(
                        ohms,
                        tone,
                        watts.map(full -> OptionalDouble.of(full.value())).orElse(none),
                        told(line, Role.BAND),
                        none);
                figures.add(typed(
                        line.what() == What.THD ? ProofKind.DISTORTION : ProofKind.DISTORTION_AND_NOISE,
                        exactly(halfADigit("d", line.figure(Role.DISTORTION).orElseThrow(), Unit.PERCENT)),
                        loud,
                        taken));
            }
            case DAMPING -> {
                Input open = volts("Vopen", line.figure(Role.OPEN).orElseThrow(), line.scope());
                Input loaded = volts.orElseThrow();
                if (open.value() > loaded.value()) {
                    figures.add(typed(ProofKind.DAMPING, sameMeter(line, loaded, open), at, taken));
                }
            }
            case RESPONSE -> {
                Figure edge = line.figure(Role.TONE).orElseThrow();
                Conditions down = new Conditions(ohms, none, none, none, told(line, Role.DECIBELS));
                figures.add(typed(
                        edge.value() < MIDDLE ? ProofKind.LOW_EDGE : ProofKind.HIGH_EDGE,
                        exactly(halfADigit("f", edge, Unit.HERTZ)),
                        down,
                        taken));
            }
            case OUT -> {}
        }
        line.figure(Role.DRIVE).ifPresent(figure -> {
            Input in = volts("Vin", figure, line.scope());
            volts.ifPresent(out -> figures.add(typed(ProofKind.GAIN, ProofArithmetic.gain(out, in), at, taken)));
            if (line.what() == What.CLIPS) {
                figures.add(typed(ProofKind.SENSITIVITY, exactly(in), at, taken));
            }
        });
        return figures;
    }

    /** Of two readings of one meter only the digits differ. */
    private static Estimate sameMeter(ProofLine line, Input loaded, Input open) {
        double digits = line.scope() ? SCOPE_DIGITS : METER_DIGITS;
        return ProofArithmetic.damping(
                ProofArithmetic.volts(
                        "V",
                        loaded.value(),
                        digits * line.figure(Role.OUTPUT).orElseThrow().lastDigit()),
                ProofArithmetic.volts(
                        "Vopen",
                        open.value(),
                        digits * line.figure(Role.OPEN).orElseThrow().lastDigit()));
    }

    private static Measured typed(ProofKind kind, Estimate value, Conditions at, Instant taken) {
        return new Measured(kind, value, at, taken, false);
    }

    private static OptionalDouble told(ProofLine line, Role role) {
        return line.figure(role)
                .map(figure -> OptionalDouble.of(figure.value()))
                .orElse(OptionalDouble.empty());
    }

    private static Input volts(String symbol, Figure figure, boolean scope) {
        double plusMinus = scope
                ? Math.hypot(SCOPE * figure.value(), SCOPE_DIGITS * figure.lastDigit())
                : METER * figure.value() + METER_DIGITS * figure.lastDigit();
        return ProofArithmetic.volts(symbol, figure.value(), plusMinus);
    }

    private static Input halfADigit(String symbol, Figure figure, Unit unit) {
        return new Input(symbol, figure.value(), figure.lastDigit() / 2, unit);
    }

    private static Estimate exactly(Input input) {
        return new Estimate(input.value(), input.plusMinus(), List.of());
    }
}
