package yellowrail.core.bias.circuit;

import java.util.List;

/**
 * One cycle of the mains in small implicit steps (backward Euler), diodes by their law. Of a bridge half a cycle is the
 * mirror of the other, and half is enough. What the circuit remembers from one cycle to the next is its state: the
 * volts of the coupling capacitor of each way, of the reservoir, and of the supply node.
 */
final class Cycle {

    private final int steps;
    /** Of a bridge: what it is after half a cycle is what it was, the coupling capacitor the other way round. */
    private final boolean mirrored;
    /** The winding's wave, in peaks. */
    private final double[] sine;

    private final List<Way> ways;
    private final boolean coupled;
    private final double peak;
    private final double ohms;
    /** What a step adds to a coupling capacitor, V/A. */
    private final double coupling;

    private final double reservoir;
    private final double second;
    /** Volts of reservoir and supply for a current into each, ohm. */
    private final double[][] answers = new double[2][2];

    /** @param steps so many to a cycle */
    Cycle(Circuit circuit, Nodes nodes, int steps) {
        this.steps = steps;
        this.sine = new double[steps];
        for (int i = 0; i < steps; i++) {
            sine[i] = Math.sin(2 * Math.PI * (i + 1) / steps);
        }
        double step = 1 / (circuit.hertz() * steps);
        this.ways = circuit.ways();
        this.mirrored =
                ways.size() == 1 && ways.get(0).ahead().equals(ways.get(0).back());
        this.coupled = circuit.coupling().isPresent();
        this.peak = circuit.peak();
        this.ohms = circuit.acOhms();
        this.coupling = coupled ? step / circuit.coupling().getAsDouble() : 0;
        this.reservoir = circuit.reservoir() / step;
        this.second = circuit.second() / step;
        double[][] siemens = nodes.conductance();
        double first =
                siemens[0][0] + reservoir + ways.stream().filter(Way::shorted).count() / ohms;
        double other = siemens[1][1] + second;
        double between = siemens[0][1];
        double determinant = first * other - between * between;
        answers[0][0] = other / determinant;
        answers[1][1] = first / determinant;
        answers[0][1] = -between / determinant;
        answers[1][0] = answers[0][1];
    }

    /** How many volts it remembers. */
    int size() {
        return (coupled ? ways.size() : 0) + 2;
    }

    /** What is seen while it runs. */
    static final class Trace {

        final double[][] wave;
        private double squares;
        private int conducting;

        Trace(int steps) {
            wave = new double[2][steps];
        }

        private void note(int at, double first, double other, double amps) {
            wave[0][at] = first;
            wave[1][at] = other;
            squares += amps;
            conducting += amps > 0 ? 1 : 0;
        }

        /** Through the series resistor, A. */
        double rms() {
            return Math.sqrt(squares / wave[0].length);
        }

        /** Radians of the cycle. */
        double conduction() {
            return 2 * Math.PI * conducting / wave[0].length;
        }
    }

    /** @return the state a cycle later, or half of one and its mirror */
    double[] after(double[] state, Trace trace) {
        double[] x = state.clone();
        int first = size() - 2;
        for (int i = 0; i < (mirrored ? steps / 2 : steps); i++) {
            double source = peak * sine[i];
            double into = reservoir * x[first];
            for (Way way : ways) {
                into += way.shorted() ? way.sign() * source / ohms : 0;
            }
            double one = answers[0][0] * into + answers[0][1] * second * x[first + 1];
            double two = answers[1][0] * into + answers[1][1] * second * x[first + 1];
            double squares = 0;
            for (int w = 0; w < ways.size(); w++) {
                Way way = ways.get(w);
                double drive = way.sign() * source - (coupled ? x[w] : 0);
                double amps = way.shorted() ? 0 : current(way, drive, one);
                boolean feeds = (amps > 0 ? way.ahead() : way.back()).isFeeding();
                if (feeds) {
                    one += answers[0][0] * Math.abs(amps);
                    two += answers[1][0] * Math.abs(amps);
                }
                if (coupled) {
                    x[w] += coupling * amps;
                }
                double through = way.shorted() ? (drive - one) / ohms : amps;
                squares += through * through;
            }
            x[first] = one;
            x[first + 1] = two;
            if (trace != null) {
                trace.note(i, one, two, squares);
                if (mirrored) {
                    trace.note(i + steps / 2, one, two, squares);
                }
            }
        }
        if (mirrored && coupled) {
            x[0] = -x[0];
        }
        return x;
    }

    /** Through a way, A; negative in its back direction. */
    private double current(Way way, double drive, double rest) {
        double ahead = along(way.ahead(), drive, rest);
        return ahead > 0 ? ahead : -along(way.back(), -drive, rest);
    }

    private double along(Path path, double drive, double rest) {
        return switch (path.leads()) {
            case NOWHERE -> 0;
            case RESERVOIR -> Diode.through(ohms + coupling + answers[0][0], path.diodes(), drive - rest);
            case GROUND -> Diode.through(ohms + coupling, path.diodes(), drive);
        };
    }
}
