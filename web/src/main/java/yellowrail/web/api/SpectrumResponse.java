package yellowrail.web.api;

import static yellowrail.web.api.JsonNumbers.digits;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import yellowrail.core.finding.Finding;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tone.Line;
import yellowrail.core.tone.Tone;
import yellowrail.core.tone.ToneAnalysis;
import yellowrail.core.tone.ToneNote;
import yellowrail.core.tone.Weighting;
import yellowrail.core.wav.Sound;
import yellowrail.web.words.Words;

/** What was measured in a sound. */
record SpectrumResponse(
        @Schema(description = "Samples a second") int sampleRate,

        @Schema(description = "Measured, s") double seconds,

        @Schema(description = "Left first") List<Channel> channels,

        @Schema(description = "Of the file") List<Note> notes) {

    private static final int LAST_HARMONIC = 10;

    /** One channel; where there is no tone its figures are null, and its notes tell why. */
    record Channel(
            @Schema(description = "To nine digits", nullable = true)
            Double fundamentalHertz,

            @Schema(description = "RMS of the fundamental, V", nullable = true)
            Double levelVolts,

            @Schema(
                    description = "Of the fundamental in loadOhms; null without loadOhms and fullScaleVolts",
                    nullable = true)
            Double watts,

            @Schema(description = "2nd to 10th, of the fundamental; null for one beyond half the rate")
            List<Double> harmonicsPercent,

            @Schema(description = "RMS of the 2nd to 20th within the band, of the fundamental", nullable = true)
            Double thdPercent,

            @Schema(
                    description = "RMS of all in the band but the fundamental, of the fundamental, not weighted",
                    nullable = true)
            Double thdPlusNoisePercent,

            @Schema(
                    description = "Of 60 Hz with 7 kHz, or 19 with 20 kHz, by IEC 60268-3; null for anything else",
                    nullable = true)
            Double intermodulationPercent,

            @Schema(description = "RMS at the mains' frequency; null where it lies on the tone", nullable = true)
            Double humVolts,

            @Schema(description = "RMS at twice the mains' frequency; null where it lies on the tone", nullable = true)
            Double rippleVolts,

            @Schema(description = "RMS in the band, harmonics and hum left out", nullable = true)
            Double noiseVolts,

            @Schema(description = "The same under the A curve of IEC 61672-1", nullable = true)
            Double noiseVoltsA,

            @Schema(description = "Whether samples stand at the card's full scale")
            boolean clipped,

            List<Note> notes) {}

    /** Something to be told. */
    record Note(String code, String says) {}

    static SpectrumResponse of(Sound sound, SpectrumRequestReader.Asked asked, Words words) {
        return new SpectrumResponse(
                sound.hertz(),
                digits(sound.seconds()),
                asked.analysis(sound.hertz()).of(sound.channels()).stream()
                        .map(outcome -> channel(outcome, asked, words))
                        .toList(),
                notes(sound.notes(), words));
    }

    private static Channel channel(ToneAnalysis.Outcome outcome, SpectrumRequestReader.Asked asked, Words words) {
        List<Finding> told = new ArrayList<>(outcome.notes());
        if (asked.fullScale().isEmpty()) {
            told.add(new RequestFault.FullScaleNotGiven());
        }
        List<Note> notes = notes(told, words);
        if (outcome.tone().isEmpty()) {
            return new Channel(null, null, null, List.of(), null, null, null, null, null, null, null, false, notes);
        }
        Tone tone = outcome.tone().get();
        double scale = asked.fullScale().orElse(1);
        return new Channel(
                digits(tone.fundamental().hertz()),
                digits(scale * tone.fundamental().rms()),
                asked.fullScale().isPresent() && asked.load().isPresent()
                        ? digits(scale
                                * scale
                                * tone.fundamental().power()
                                / asked.load().getAsDouble())
                        : null,
                harmonics(tone),
                percent(tone.distortion()),
                percent(tone.distortionAndNoise()),
                outcome.intermodulation().map(pair -> percent(pair.part())).orElse(null),
                volts(tone.humAt(1), scale),
                volts(tone.humAt(2), scale),
                digits(scale * tone.noise(Weighting.FLAT)),
                digits(scale * tone.noise(Weighting.A)),
                outcome.notes().stream().anyMatch(ToneNote.CardClipped.class::isInstance),
                notes);
    }

    private static List<Double> harmonics(Tone tone) {
        // Of(..) takes no null.
        List<Double> harmonics = new ArrayList<>();
        IntStream.rangeClosed(2, LAST_HARMONIC).mapToObj(tone::part).forEach(part -> harmonics.add(orNull(part)));
        return harmonics;
    }

    private static Double orNull(OptionalDouble part) {
        return part.isPresent() ? percent(part.getAsDouble()) : null;
    }

    private static double percent(double part) {
        return digits(Unit.PERCENT.fromSi(part));
    }

    private static Double volts(Optional<Line> line, double scale) {
        return line.map(found -> digits(scale * found.rms())).orElse(null);
    }

    private static List<Note> notes(List<Finding> findings, Words words) {
        return findings.stream()
                .map(finding -> new Note(finding.code(), words.say(finding)))
                .toList();
    }
}
