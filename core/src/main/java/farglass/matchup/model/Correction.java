package farglass.matchup.model;

import org.jspecify.annotations.Nullable;

/**
 * What the user knows better.
 *
 * @param exit which way out
 * @param rate attempts a minute, 0 or more; null to leave it
 * @param chance that it works, 0..1; null to leave it
 * @param reason why, never blank
 */
public record Correction(
        Exit.Key exit, @Nullable Double rate, @Nullable Double chance, String reason) {
    public Correction {
        if (rate != null && !(rate >= 0 && rate <= 60)) {
            throw new IllegalArgumentException("rate (" + rate + " a minute) must lie in 0..60");
        }
        if (chance != null && !(chance >= 0 && chance <= 1)) {
            throw new IllegalArgumentException("chance (" + chance + ") must lie in 0..1");
        }
        if (reason.isBlank()) {
            throw new IllegalArgumentException("a correction needs its reason");
        }
    }
}
