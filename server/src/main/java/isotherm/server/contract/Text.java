package isotherm.server.contract;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a text, a choice, a list or a part of a document is, and how long it may be. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Text {
    /** @return what it is */
    String value();

    /** @return least length of a text or list */
    int min() default 0;

    /** @return greatest length of a text or list */
    int max() default 200;
}
