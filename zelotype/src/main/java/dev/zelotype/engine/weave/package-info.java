/**
 * Inside the engine: calls that no double can receive (static, final, constructors) are led past it as well.
 */
@NullMarked
package dev.zelotype.engine.weave;

import org.jspecify.annotations.NullMarked;
