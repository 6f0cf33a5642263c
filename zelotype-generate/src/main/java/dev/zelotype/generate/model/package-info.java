/**
 * The model of a type and its members for writing doubles: names, parameters, default answers.
 */
@NullMarked
package dev.zelotype.generate.model;

import org.jspecify.annotations.NullMarked;
