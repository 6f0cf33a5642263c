/**
 * For tests of CDI containers: doubles in the place of beans, and statements that may name the proxies of beans.
 */
@NullMarked
package dev.zelotype.cdi;

import org.jspecify.annotations.NullMarked;
