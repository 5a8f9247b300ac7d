package yellowrail.core.amp;

import yellowrail.core.quantity.Unit;

/**
 * What practitioners set an idle by. They disagree, each with reason, and all are supported; every one is capped by the
 * rating.
 */
public enum School {

    /** Plate dissipation as a share of the rating. */
    SHARE_OF_RATING(Basis.PERCENT),
    /** Cathode current per tube; blind to the plate voltage. */
    CURRENT_WINDOW(Basis.MILLIAMPS),
    /** What the maker of the amp asks for at the test point. */
    MAKERS_FIGURE(Basis.TEST_POINT),
    /** Between the reading where it sounds thin and the one where it sounds thick. */
    BY_EAR(Basis.TEST_POINT),
    /** Over a design-centre rating, as some old cathode-bias amps were built. */
    HOT_CATHODE(Basis.PERCENT);

    /** What a school's figures are in. */
    public enum Basis {
        PERCENT,
        MILLIAMPS,
        TEST_POINT
    }

    private final Basis basis;

    School(Basis basis) {
        this.basis = basis;
    }

    /** The unit its window is told in, where the meter at the test point shows {@code shows}. */
    public Unit unit(Unit shows) {
        return switch (basis) {
            case PERCENT -> Unit.PERCENT;
            case MILLIAMPS -> Unit.MILLIAMP;
            case TEST_POINT -> shows;
        };
    }

    public Basis basis() {
        return basis;
    }
}
