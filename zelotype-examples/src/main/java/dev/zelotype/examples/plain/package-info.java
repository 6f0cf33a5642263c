/**
 * A scene in plain Java, without a test framework.
 */
package dev.zelotype.examples.plain;
