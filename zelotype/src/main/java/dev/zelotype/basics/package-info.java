/**
 * For Zelotype's own rooms and modules: whose code a class is, and what no text may show.
 */
@NullMarked
package dev.zelotype.basics;

import org.jspecify.annotations.NullMarked;
