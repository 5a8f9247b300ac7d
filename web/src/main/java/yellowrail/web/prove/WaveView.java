package yellowrail.web.prove;

import yellowrail.core.quantity.Figures;
import yellowrail.core.tone.Tone;
import yellowrail.core.tone.ToneWave;
import yellowrail.web.chart.Plot;

/**
 * One turn of a tone in SVG coordinates, and under it what is left without the fundamental.
 *
 * @param times the residual is enlarged
 */
record WaveView(Plot frame, Plot under, String wave, String fundamental, String residual, String middle, String times) {

    private static final double ROOM = 1.05;

    static WaveView of(Tone tone) {
        ToneWave wave = ToneWave.of(tone);
        double most = Math.max(
                1,
                wave.wave().stream()
                        .mapToDouble(point -> Math.abs(point.y()))
                        .max()
                        .orElse(1));
        double left = Math.max(
                1e-9,
                wave.residual().stream()
                        .mapToDouble(point -> Math.abs(point.y()))
                        .max()
                        .orElse(1));
        Plot frame = new Plot(420, 340, 12, 12, 10, 140, 0, 1, -ROOM * most, ROOM * most, false);
        Plot under = new Plot(420, 340, 12, 12, 222, 12, 0, 1, -ROOM * left, ROOM * left, false);
        return new WaveView(
                frame,
                under,
                frame.line(wave.wave()),
                frame.line(wave.fundamental()),
                under.line(wave.residual()),
                frame.level(0) + under.level(0),
                Figures.plain(wave.times()));
    }
}
