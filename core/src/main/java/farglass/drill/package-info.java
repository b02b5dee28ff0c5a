/**
 * Recognition drills: a clip stops at a trigger, the learner says what comes next, and meets it again when it is about
 * to fade.
 */
@NullMarked
package farglass.drill;

import org.jspecify.annotations.NullMarked;
