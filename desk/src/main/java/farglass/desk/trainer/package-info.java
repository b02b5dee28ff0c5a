/**
 * How well do I tag? Made-up films whose truth is known, marked against it, with progress over time.
 *
 * <p>Entry point: {@link farglass.desk.trainer.TrainerSheet}.
 */
package farglass.desk.trainer;
