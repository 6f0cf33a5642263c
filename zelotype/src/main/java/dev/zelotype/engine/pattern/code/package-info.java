/**
 * The code of lambdas: its instructions, the real code that it calls, and which of that may be run.
 */
@NullMarked
package dev.zelotype.engine.pattern.code;

import org.jspecify.annotations.NullMarked;
