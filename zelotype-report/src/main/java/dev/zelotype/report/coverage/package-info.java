/**
 * For tools that show journals: which methods of each collaborator the tests exercise.
 */
@NullMarked
package dev.zelotype.report.coverage;

import org.jspecify.annotations.NullMarked;
