/**
 * For tests with Spring: doubles that replace beans.
 */
@org.jspecify.annotations.NullMarked
package dev.zelotype.spring;
