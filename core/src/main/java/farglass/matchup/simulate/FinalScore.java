package farglass.matchup.simulate;

import java.util.Comparator;

/** Points when a match is over, in the order of ours, then theirs. */
public record FinalScore(int ours, int theirs) implements Comparable<FinalScore> {
    private static final Comparator<FinalScore> ORDER =
            Comparator.comparingInt(FinalScore::ours).thenComparingInt(FinalScore::theirs);

    @Override
    public int compareTo(FinalScore other) {
        return ORDER.compare(this, other);
    }

    /** {@code ours-theirs}. */
    public String code() {
        return ours + "-" + theirs;
    }
}
