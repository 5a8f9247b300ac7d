package yellowrail.core.amp;

import yellowrail.core.quantity.Unit;

/**
 * What practitioners set an idle by. They disagree, each with reason, and all are supported; every one is capped by
 * the rating.
 */
public enum School {

    SHARE_OF_RATING("share of the rating", Basis.PERCENT,
            "Plate dissipation as a share of the rating. Power and low distortion lie at the hot end, tube life at the cold end."),
    CURRENT_WINDOW("current window", Basis.MILLIAMPS,
            "Cathode current per tube between two figures for the type. Quick, but blind to the plate voltage."),
    MAKERS_FIGURE("maker\u2019s figure at the test point", Basis.TEST_POINT,
            "What the amp\u2019s maker asks for at the test point. Right while the amp is as it was made."),
    BY_EAR("by ear, between cold and hot", Basis.TEST_POINT,
            "The reading where it sounds thin and the one where it sounds thick, found by listening; set between them."),
    HOT_CATHODE("hot cathode bias, over a design-centre rating", Basis.PERCENT,
            "100 to 115 % of a design-centre rating, as some old cathode-bias amps were built: idle is the hottest these tubes get. It costs tube life, and an unlucky tube at high mains.");

    /** What a school's figures are in. */
    public enum Basis {
        PERCENT, MILLIAMPS, TEST_POINT
    }

    private final String inWords;
    private final Basis basis;
    private final String why;

    School(String inWords, Basis basis, String why) {
        this.inWords = inWords;
        this.basis = basis;
        this.why = why;
    }

    /** The unit its window is told in, where the meter at the test point shows {@code shows}. */
    public Unit unit(Unit shows) {
        return switch (basis) {
            case PERCENT -> Unit.PERCENT;
            case MILLIAMPS -> Unit.MILLIAMP;
            case TEST_POINT -> shows;
        };
    }

    public String inWords() {
        return inWords;
    }

    public Basis basis() {
        return basis;
    }

    public String why() {
        return why;
    }
}
