/**
 * For Zelotype's own packages and modules: classification of code by owner, and the mask of hidden text.
 */
@NullMarked
package dev.zelotype.basics;

import org.jspecify.annotations.NullMarked;
