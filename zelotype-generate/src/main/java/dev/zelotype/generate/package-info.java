/**
 * For tools that write doubles as source: a model of a type, what is written for it, and the folder it goes to. Knows
 * nothing of command lines or build tools.
 */
@NullMarked
package dev.zelotype.generate;

import org.jspecify.annotations.NullMarked;
