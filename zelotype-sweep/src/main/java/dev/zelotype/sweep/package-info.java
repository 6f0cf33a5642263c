/**
 * A program that tries which types can be doubled.
 */
package dev.zelotype.sweep;
