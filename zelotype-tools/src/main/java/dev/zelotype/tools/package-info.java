/**
 * Inside Zelotype's own tools: shared handling of files and names. Not meant for other programs.
 */
@NullMarked
package dev.zelotype.tools;

import org.jspecify.annotations.NullMarked;
