/**
 * For tools that write doubles as source: a model of a type, the generated source, and the output folder. Independent
 * of command lines and build tools.
 */
@NullMarked
package dev.zelotype.generate;

import org.jspecify.annotations.NullMarked;
