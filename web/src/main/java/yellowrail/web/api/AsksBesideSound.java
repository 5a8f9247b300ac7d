package yellowrail.web.api;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * The body of this operation is a sound, and its query the fields of {@link SpectrumShape}: {@link Shapes} tells both.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface AsksBesideSound {}
