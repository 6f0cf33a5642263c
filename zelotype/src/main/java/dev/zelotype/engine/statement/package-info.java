/**
 * Inside the engine: suppositions, expectations, checks and orders, as the test writes them.
 */
@NullMarked
package dev.zelotype.engine.statement;

import org.jspecify.annotations.NullMarked;
