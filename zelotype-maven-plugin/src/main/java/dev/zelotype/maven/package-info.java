/**
 * For builds: doubles written as source by Maven. Thin: it reads the configuration and calls the generator.
 */
@NullMarked
package dev.zelotype.maven;

import org.jspecify.annotations.NullMarked;
