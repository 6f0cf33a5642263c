package dev.zelotype.grammar;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Marks a method that uses Zelotype wrongly, with its title in the guide. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface Mistake {
    String value();
}
