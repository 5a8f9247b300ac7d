package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.proof.Climb;
import yellowrail.core.proof.ClimbFinding;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tone.Tone;
import yellowrail.web.words.Words;

/**
 * The newest of a recording that goes on.
 *
 * @param figures watts, distortion and frequency; or that there is no tone
 * @param next what the level of a climb is to be; empty where none goes on
 * @param heard what the climb is told of this block when it asks the next time
 * @param says why a climb is over; blank while it goes on
 * @param there whether what was climbed to is there
 */
record LiveView(
        List<String> figures,
        Optional<SpectrumView> spectrum,
        Optional<WaveView> wave,
        String next,
        String heard,
        String distortion,
        String says,
        boolean there) {

    private static final int DIGITS = 3;

    static LiveView of(LiveHeard heard, Optional<Climb.Next> next, Words words) {
        Optional<Tone> tone = heard.tone();
        Optional<ClimbFinding> says = next.flatMap(Climb.Next::says);
        return new LiveView(
                tone.map(each -> figures(each, heard))
                        .orElseGet(() -> List.of(words.message("page.prove.live-no-tone"))),
                tone.map(each -> SpectrumView.of(heard.samples(), heard.perSecond(), each, false)),
                tone.map(WaveView::of),
                next.map(each -> Figures.plain(each.level())).orElse(""),
                tone.map(each -> String.valueOf(each.fundamental().rms())).orElse(""),
                tone.map(each -> String.valueOf(each.distortion())).orElse(""),
                says.map(words::say).orElse(""),
                says.filter(ClimbFinding::isThere).isPresent());
    }

    /** All figures in a line. */
    public String told() {
        return String.join(" ", figures);
    }

    /** A block that cannot be read. */
    static LiveView refused(String why) {
        return new LiveView(List.of(why), Optional.empty(), Optional.empty(), "", "", "", "", false);
    }

    private static List<String> figures(Tone tone, LiveHeard heard) {
        List<String> figures = new ArrayList<>();
        heard.watts().ifPresent(watts -> figures.add(digits(watts) + " W"));
        figures.add(digits(Unit.PERCENT.fromSi(tone.distortion())) + " % THD");
        figures.add(digits(tone.fundamental().hertz()) + " Hz");
        return figures;
    }

    private static String digits(double value) {
        return Figures.plain(Figures.rounded(value, DIGITS));
    }
}
