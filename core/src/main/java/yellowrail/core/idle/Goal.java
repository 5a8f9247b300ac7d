package yellowrail.core.idle;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.RatingSystem;

/**
 * Where a tube should idle in an amp: the school's window, made to fit the rating it is held against. Limits come
 * before the school. For design-maximum and absolute ratings, which promise nothing beyond themselves, the customary
 * window of cathode bias, whose idle is the hottest the tube gets, is scaled down so that mains 10 % high stay under
 * the rating:
 *
 * <pre>high &lt;= 1 / 1.1^2.2</pre>
 *
 * The school that goes over a rating on purpose holds for cathode bias, a design-centre rating and the type on the
 * sheet; for any other tube the customary window does.
 */
public final class Goal {

    /** The mains at its highest, over the set one. */
    public static final double HIGH_MAINS = 1.10;
    /** How dissipation follows the mains with cathode bias, by custom. */
    public static final double CATHODE_MAINS = 2.2;
    /** The share of a rating that high mains make a whole one of, with cathode bias. */
    public static final double CATHODE_CAP = Math.pow(HIGH_MAINS, -CATHODE_MAINS);

    private final AmpSheet sheet;
    private final Rating rating;
    private final Target window;
    private final Optional<IdleFinding> adapted;

    /** @param ofTheSheet whether the tube is of the type on the sheet, of which its choices were made */
    public Goal(AmpSheet sheet, Rating rating, boolean ofTheSheet) {
        this.sheet = sheet;
        this.rating = rating;
        boolean hot = sheet.target().school() == School.HOT_CATHODE;
        boolean chosen = hot && ofTheSheet && sheet.bias().isCathode() && rating.system() == RatingSystem.DESIGN_CENTRE;
        Target customary = Target.customary(sheet.bias(), sheet.topology());
        Target asked = hot && !chosen ? customary : sheet.target();
        boolean capped = sheet.bias().isCathode()
                && asked.equals(customary)
                && asked.high() > CATHODE_CAP
                && (rating.system() == RatingSystem.DESIGN_MAXIMUM || rating.system() == RatingSystem.ABSOLUTE);
        this.window = capped ? asked.times(CATHODE_CAP / asked.high()) : asked;
        this.adapted = capped
                ? Optional.of(new IdleFinding.WindowCapped(window.low(), window.high(), rating.system()))
                : hot && !chosen ? Optional.of(new IdleFinding.ChoiceNotOfThisTube(rating.system())) : Optional.empty();
    }

    public Rating rating() {
        return rating;
    }

    /** The window in the school's own figures. */
    public Target window() {
        return window;
    }

    public Target.Band at(double plateVolts) {
        return window.at(plateVolts);
    }

    /** How the window differs from the sheet's, if it does. */
    public Optional<IdleFinding> adapted() {
        return adapted;
    }

    /** Whether this tube is run over its rating on purpose. */
    public boolean isByChoice() {
        return window.school() == School.HOT_CATHODE;
    }

    /** The most plate dissipation that is aimed at, over the rating. */
    public double mostRatio() {
        return isByChoice() ? Math.min(window.high(), Target.MOST_BY_CHOICE) : 1;
    }

    public AmpSheet sheet() {
        return sheet;
    }
}
