/**
 * Clauses of conduct: promises about how to fight that film can answer, read from one line of text and counted in a
 * record.
 */
@NullMarked
package farglass.conduct;

import org.jspecify.annotations.NullMarked;
