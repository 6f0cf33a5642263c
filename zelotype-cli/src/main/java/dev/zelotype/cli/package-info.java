/**
 * For people at a terminal: the {@code zelotype} command. Thin: it reads arguments, calls the other modules and prints.
 */
@NullMarked
package dev.zelotype.cli;

import org.jspecify.annotations.NullMarked;
