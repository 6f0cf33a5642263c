/**
 * Inside Zelotype's own tools: files and names, the same way in each. Not meant for other programs.
 */
@NullMarked
package dev.zelotype.tools;

import org.jspecify.annotations.NullMarked;
