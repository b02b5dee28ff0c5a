/** From the plan to the mat: minutes for skills, a calendar of rounds, a card for each, and what training has shown. */
@NullMarked
package farglass.camp;

import org.jspecify.annotations.NullMarked;
