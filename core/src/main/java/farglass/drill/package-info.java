/** Recognition drills: a clip stops at a trigger, the learner says what comes next, and meets it again when it is about to fade. */
package farglass.drill;
