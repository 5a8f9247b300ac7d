package yellowrail.web.glossary;

import java.util.Arrays;
import java.util.Optional;
import yellowrail.core.finding.Code;

/** A word of the trade. */
enum Term {
    IDLE,
    DISSIPATION,
    DESIGN_CENTRE,
    DESIGN_MAXIMUM,
    ABSOLUTE_MAXIMUM,
    SENSE_RESISTOR,
    SCREEN_SHARE,
    WINDOW,
    CLASS_A,
    CLASS_AB,
    CROSSOVER_DISTORTION,
    PUSH_PULL,
    FIXED_BIAS,
    CATHODE_BIAS,
    WIPER,
    COUPLING_CAPACITOR,
    GRID_LEAK,
    B_PLUS,
    RESERVOIR,
    BLEEDER,
    SUPPLY_LINE,
    LOAD_LINE,
    PRIMARY_IMPEDANCE,
    ULTRALINEAR,
    NEGATIVE_FEEDBACK,
    DAMPING_FACTOR,
    DUMMY_LOAD,
    LAMP_LIMITER,
    SOAK,
    CREEP,
    RUNAWAY,
    GLOWING,
    MICROPHONIC,
    MATCHED,
    THD;

    /** As in addresses: {@code class-ab}. */
    String token() {
        return Code.of(this);
    }

    static Optional<Term> of(String token) {
        return Arrays.stream(values())
                .filter(term -> term.token().equals(token))
                .findFirst();
    }
}
