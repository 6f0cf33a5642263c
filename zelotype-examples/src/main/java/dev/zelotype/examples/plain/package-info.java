/**
 * For those who use no test framework: a scene in plain Java.
 */
package dev.zelotype.examples.plain;
