/**
 * For tests in Kotlin: statements in Kotlin syntax.
 */
package dev.zelotype.kotlin;
