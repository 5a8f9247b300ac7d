package yellowrail.web.prove;

import java.util.List;
import java.util.Optional;
import yellowrail.core.tone.Intermodulation;
import yellowrail.core.tone.Line;
import yellowrail.core.tone.Tone;
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
            double noiseA) {

        static Figures of(Tone tone, Optional<Intermodulation> pair) {
            return new Figures(
                    tone.fundamental().hertz(),
                    tone.fundamental().rms(),
                    tone.distortion(),
                    tone.distortionAndNoise(),
                    pair.map(Intermodulation::part).orElse(null),
                    tone.humAt(1).map(Line::rms).orElse(null),
                    tone.humAt(2).map(Line::rms).orElse(null),
                    tone.noise(Weighting.FLAT),
                    tone.noise(Weighting.A));
        }

        /** As a meter reads it that takes all there is, RMS. */
        double all() {
            return level * Math.hypot(1, distortionAndNoise);
        }
    }

    static DocumentKind<HeardDocument> kind(JsonColumn json) {
        return json.kind(HeardDocument.class);
    }
}
