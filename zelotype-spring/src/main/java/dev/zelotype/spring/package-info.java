/**
 * For tests of Spring: doubles in the place of beans.
 */
@org.jspecify.annotations.NullMarked
package dev.zelotype.spring;
