package yellowrail.core.practice;

import java.util.Random;
import yellowrail.core.tube.model.TubeModel;

/**
 * What a tube of a practice amp answers taps with: a ring of its own at the load, which its model decides, so that it
 * goes with the tube from socket to socket. One in six rings on.
 *
 * @param hertz of its ring
 * @param fall 1/s
 * @param volts crest at the load when tapped as most are
 */
record TappedTube(double hertz, double fall, double volts) {

    /** Between taps, s. */
    private static final double EVERY = 1.1;

    private static final double FIRST = 0.8;
    static final int TAPS = 4;
    static final double SECONDS = FIRST + TAPS * EVERY;

    private static final double RINGS_ON = 1 / 6.0;
    private static final double HAND = 0.25;
    /** What the blow does to the chassis. */
    private static final double THUMP_HERTZ = 45;

    private static final double THUMP_FALL = 80;

    static TappedTube of(TubeModel model) {
        Random own = new Random(model.hashCode());
        double hertz = 350 * Math.pow(6, own.nextDouble());
        double fall = own.nextDouble() < RINGS_ON ? 2 + own.nextDouble() : 14 * Math.pow(5, own.nextDouble());
        return new TappedTube(hertz, fall, 0.004 * Math.pow(8, own.nextDouble()));
    }

    /** It has no current that its electrodes could shake. */
    TappedTube silent() {
        return new TappedTube(hertz, fall, 0);
    }

    /** Adds the taps of a hand that does not strike twice alike. */
    void ring(double[] volts, int perSecond, Random hand) {
        for (int tap = 0; tap < TAPS; tap++) {
            double force = Math.exp(HAND * hand.nextGaussian());
            double at = FIRST + tap * EVERY + 0.1 * (hand.nextDouble() - 0.5);
            for (int i = (int) Math.ceil(at * perSecond); i < volts.length; i++) {
                double t = (double) i / perSecond - at;
                volts[i] += force
                        * this.volts
                        * (Math.exp(-fall * t) * Math.sin(2 * Math.PI * hertz * t)
                                + 2 * Math.exp(-THUMP_FALL * t) * Math.sin(2 * Math.PI * THUMP_HERTZ * t));
            }
        }
    }
}
