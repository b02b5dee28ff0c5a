package farglass.desk.tide;

import farglass.match.Corner;
import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/**
 * Something that is proposed, on a tide line.
 *
 * @param who null when it is nobody's
 * @param family of an attempt; null for anything else
 * @param confidence 0..1
 * @param inHand whether it is the one that is looked at
 */
public record DraftMark(
        MatchTime t, @Nullable Corner who, @Nullable String family, double confidence, boolean inHand) {}
