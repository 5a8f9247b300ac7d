package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Socket;

/**
 * Where the stage will stand after the move, at the mains it was last read at.
 *
 * @param tubes in the order of the sheet
 * @param plateVolts plates on the supply line: to the cathodes with fixed bias, to ground with cathode bias, V
 * @param plusMinus half width of that at 95 %, from the supply line and from mains that nobody read, V
 * @param plateReading what the builder's meter will show where plate voltage is read, V
 * @param totalAmps drawn from the rail, A
 * @param bias grid volts to the cathode it takes, V; empty where nothing tells
 * @param biasFrom what that rests on; empty where nothing tells, and with cathode bias
 * @param mainsRatio mains over the sheet's
 */
public record Landing(
        List<Tube> tubes,
        double plateVolts,
        double plusMinus,
        double plateReading,
        double totalAmps,
        OptionalDouble bias,
        Optional<MoveFinding> biasFrom,
        double mainsRatio) {

    /**
     * One tube after the move.
     *
     * @param cathode current, A
     * @param plateAmps current, A
     * @param plateVolts to the cathode, V
     * @param watts plate dissipation, at the mains as read, W
     * @param ratio of the rating, converted to the reference mains
     * @param reading what the meter will show at its test point, SI
     * @param plusMinus half width of that at 95 %, SI
     */
    public record Tube(
            Socket socket,
            double cathode,
            double plateAmps,
            double plateVolts,
            double watts,
            double ratio,
            double reading,
            double plusMinus) {

        Tube with(double otherReading, double otherPlusMinus) {
            return new Tube(socket, cathode, plateAmps, plateVolts, watts, ratio, otherReading, otherPlusMinus);
        }
    }

    public Landing {
        tubes = List.copyOf(tubes);
    }

    public Tube tube(Socket socket) {
        return tubes.stream()
                .filter(tube -> tube.socket().equals(socket))
                .findFirst()
                .orElseThrow();
    }
}
