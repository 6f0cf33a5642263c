/**
 * For people who want to know which types can be doubled: a program that tries them all.
 */
package dev.zelotype.sweep;
