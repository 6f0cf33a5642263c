/**
 * A program that tests which types can be doubled.
 */
package dev.zelotype.sweep;
