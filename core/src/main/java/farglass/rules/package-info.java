/**
 * What is the score, and why? A ruleset is data; the engine works the score out of a record's tags and explains every
 * point, and every point not given.
 *
 * <p>Entry points: {@link farglass.rules.Scoring}, {@link farglass.rules.Rulesets}. Uses farglass.match,
 * farglass.lexicon, farglass.time.
 */
@NullMarked
package farglass.rules;

import org.jspecify.annotations.NullMarked;
