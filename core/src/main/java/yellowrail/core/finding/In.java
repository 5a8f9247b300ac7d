package yellowrail.core.finding;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import yellowrail.core.quantity.Unit;

/** The unit a number of a finding is told in; the number itself is SI. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface In {

    /** None for a plain number. */
    Unit[] value() default {};

    /** Whether it is a half width, told with two digits. */
    boolean plusMinus() default false;

    /** Decimals where the unit's usual ones do not do; -1 for those. */
    int decimals() default -1;

    /** Whether it is told with the digits it was given in, as a figure of a sheet or a catalogue. */
    boolean given() default false;

    /** Whether it is a change, told with its sign. */
    boolean change() default false;
}
