/**
 * For tools that show journals: a static site made from journals, with advice on tests.
 */
@NullMarked
package dev.zelotype.report.site;

import org.jspecify.annotations.NullMarked;
