/**
 * For tools that show journals: one test's conversation as a sequence of messages, and the ways to draw it.
 */
@NullMarked
package dev.zelotype.report.story;

import org.jspecify.annotations.NullMarked;
