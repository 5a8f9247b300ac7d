package yellowrail.web.prove;

import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.tone.Hearing;
import yellowrail.core.tone.Intermodulation;
import yellowrail.core.tone.Line;
import yellowrail.core.tone.SteppedTone;
import yellowrail.core.tone.Tone;
import yellowrail.core.tone.Tops;
import yellowrail.core.tone.Weighting;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

/**
 * What was measured in a recording, in parts of full scale, and under which conditions.
 *
 * @param name of the file
 * @param setting what the builder calls it
 * @param loadOhms the amp's load; null if it was not told
 * @param volts RMS that a meter read of this tone; null if none did
 * @param channels left first; null for one without a tone
 */
record HeardDocument(
        String name,
        String setting,
        Double loadOhms,
        Double volts,
        int mainsHertz,
        double lowHertz,
        double highHertz,
        int perSecond,
        double seconds,
        List<Figures> channels) {

    /**
     * Of one channel; RMS.
     *
     * @param intermodulation of two tones played for it; null for anything else
     * @param hum null where it lies on the tone
     * @param ripple the same
     * @param steps of a signal that went step by step, whose loudest the figures are of; else none
     */
    record Figures(
            double hertz,
            double level,
            double distortion,
            double distortionAndNoise,
            Double intermodulation,
            Double hum,
            Double ripple,
            double noise,
            double noiseA,
            List<Step> steps) {

        Figures {
            steps = steps == null ? List.of() : List.copyOf(steps);
        }

        /** @return null where there is no tone */
        static Figures of(Hearing heard) {
            return heard.outcome()
                    .tone()
                    .map(tone -> new Figures(
                            tone.fundamental().hertz(),
                            tone.fundamental().rms(),
                            tone.distortion(),
                            tone.distortionAndNoise(),
                            heard.outcome()
                                    .intermodulation()
                                    .map(Intermodulation::part)
                                    .orElse(null),
                            tone.humAt(1).map(Line::rms).orElse(null),
                            tone.humAt(2).map(Line::rms).orElse(null),
                            tone.noise(Weighting.FLAT),
                            tone.noise(Weighting.A),
                            heard.stepped().map(SteppedTone::steps).orElse(List.of()).stream()
                                    .map(Step::of)
                                    .toList()))
                    .orElse(null);
        }

        /** As a meter reads it that takes all there is, RMS. */
        double all() {
            return level * Math.hypot(1, distortionAndNoise);
        }
    }

    /**
     * One of the steps; RMS.
     *
     * @param roundness of its tops; null where it cannot be told
     * @param second harmonic, of the fundamental; null where it lies too high, or from before it was kept
     * @param third the same
     */
    record Step(
            double hertz,
            double level,
            double distortion,
            double distortionAndNoise,
            Double roundness,
            Double second,
            Double third) {

        static Step of(SteppedTone.Step step) {
            Tone tone = step.tone();
            return new Step(
                    tone.fundamental().hertz(),
                    step.level(),
                    tone.distortion(),
                    tone.distortionAndNoise(),
                    boxed(Tops.roundness(tone)),
                    boxed(tone.part(2)),
                    boxed(tone.part(3)));
        }
    }

    /** Null for what is not there. */
    static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static DocumentKind<HeardDocument> kind(JsonColumn json) {
        return json.kind(HeardDocument.class);
    }
}
