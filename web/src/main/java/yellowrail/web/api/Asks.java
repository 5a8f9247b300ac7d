package yellowrail.web.api;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The shape that a request of this operation has, by its name: {@link Shapes} has it. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface Asks {
    String value();
}
