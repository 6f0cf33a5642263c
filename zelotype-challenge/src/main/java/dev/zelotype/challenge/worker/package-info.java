/**
 * The code that runs beside the tests in their JVM: it sees their calls, and disturbs them.
 */
@NullMarked
package dev.zelotype.challenge.worker;

import org.jspecify.annotations.NullMarked;
