/**
 * For tests in Kotlin: statements as Kotlin writes them.
 */
package dev.zelotype.kotlin;
