package yellowrail.web.prove;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tone.CardScale;
import yellowrail.core.tone.SpectrumTrace;
import yellowrail.web.words.Words;

/**
 * The figures of a recording, formatted; a dash where one is not known.
 *
 * @param conditions what was measured, when and how
 * @param most what two tones make of each other, if that was played; else watts where load and scale are known, else
 *     volts, else THD
 * @param intermodulation blank where no two tones were played for it
 */
record HeardView(
        long id,
        String setting,
        String at,
        String conditions,
        String most,
        String frequency,
        String level,
        String watts,
        String distortion,
        String withNoise,
        String intermodulation,
        String hum,
        String ripple,
        String noise,
        String noiseA,
        boolean here) {

    private static final String NOT_KNOWN = "\u2013";
    private static final int DIGITS = 3;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    static HeardView of(
            ProveService.Kept kept,
            HeardDocument.Figures heard,
            Optional<CardScale> scale,
            boolean here,
            Words words,
            Clock clock) {
        Optional<Double> full = scale.map(CardScale::volts);
        String called = kept.called();
        String at = TIME.format(kept.at().atZoneSameInstant(clock.getZone()));
        String level = volts(full, heard.level());
        String watts = full.isPresent() && kept.heard().loadOhms() != null
                ? digits(Math.pow(full.get() * heard.level(), 2) / kept.heard().loadOhms()) + " W"
                : NOT_KNOWN;
        String distortion = percent(heard.distortion());
        String intermodulation = heard.intermodulation() == null ? "" : percent(heard.intermodulation());
        return new HeardView(
                kept.id(),
                called,
                at,
                conditions(called, at, kept.heard(), words),
                !intermodulation.isEmpty()
                        ? intermodulation
                        : !watts.equals(NOT_KNOWN) ? watts : full.isPresent() ? level : distortion,
                Figures.fixed(heard.hertz(), 2) + " Hz",
                level,
                watts,
                distortion,
                percent(heard.distortionAndNoise()),
                intermodulation,
                heard.hum() == null ? NOT_KNOWN : volts(full, heard.hum()),
                heard.ripple() == null ? NOT_KNOWN : volts(full, heard.ripple()),
                volts(full, heard.noise()),
                volts(full, heard.noiseA()),
                here);
    }

    private static String conditions(String called, String at, HeardDocument heard, Words words) {
        List<String> told = new ArrayList<>(List.of(called, at));
        told.add(
                heard.loadOhms() == null
                        ? words.message("page.prove.load-not-told")
                        : words.message("page.prove.into", Figures.in(Unit.OHM, heard.loadOhms())));
        told.add(words.message(
                "page.prove.band", Figures.plain(heard.lowHertz()), Figures.plain(heard.highHertz() / 1000)));
        told.add(words.message(
                "page.prove.sound", Figures.fixed(heard.seconds(), 1), Figures.plain(heard.perSecond() / 1000.0)));
        return String.join(" \u00b7 ", told);
    }

    /** In volts where full scale is known, else in decibels of a full-scale sine. */
    private static String volts(Optional<Double> full, double rms) {
        if (full.isEmpty()) {
            double decibels = SpectrumTrace.decibels(2 * rms * rms);
            return (decibels > SpectrumTrace.FLOOR ? "" : "< ") + Figures.fixed(decibels, 1) + " dB FS";
        }
        double volts = full.get() * rms;
        return volts >= 1
                ? digits(volts) + " V"
                : volts >= 1e-4 ? digits(Unit.MILLIVOLT.fromSi(volts)) + " mV" : digits(volts * 1e6) + " \u00b5V";
    }

    private static String percent(double part) {
        return digits(Unit.PERCENT.fromSi(part)) + " %";
    }

    private static String digits(double value) {
        return Figures.plain(Figures.rounded(value, DIGITS));
    }
}
