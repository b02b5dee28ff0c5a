package farglass.stats;

import org.jspecify.annotations.Nullable;

/**
 * A stay in one place until something ended it.
 *
 * @param tag the position tag that began it
 * @param ms length in match milliseconds, positive
 * @param cause what ended it, or null when the end was not seen (censored)
 * @param weight recency weight in (0, 1]
 */
public record Spell(TagRef tag, long ms, @Nullable String cause, double weight) {}
