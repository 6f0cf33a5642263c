/**
 * For tools that show journals: which methods of each collaborator the tests use.
 */
@NullMarked
package dev.zelotype.report.coverage;

import org.jspecify.annotations.NullMarked;
