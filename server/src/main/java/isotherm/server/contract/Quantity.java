package isotherm.server.contract;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The range and unit of a number in a document; the reader enforces it and the JSON Schema states it. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Quantity {
    /** @return what it is, with the reason for its range where that is not plain */
    String value();

    /** @return least value allowed */
    double min();

    /** @return greatest value allowed */
    double max();

    /** @return unit, empty for a pure number */
    String unit() default "";
}
