package bricksignal.core.words;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Text that the equipment data or a person chose, where a record holds it as text and not as a {@link Message}: it is told like one, in the language of the person where
 * that is known, as it stands where it is not. On a list it is so of each item.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.FIELD, ElementType.METHOD, ElementType.PARAMETER, ElementType.RECORD_COMPONENT})
public @interface Phrase {
}
