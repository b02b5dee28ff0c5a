package farglass.table;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Which athlete of a record a name on the picture is: accents, case, order and initials aside, and with a few letters
 * misread.
 */
public final class NameMatch {
    /** Shares of letters that agree from which two names may be one. */
    private static final double LIKE = 0.7;
    /** A surname that agrees counts so much: less than the whole name, because families compete. */
    private static final double PART = 0.9;

    private static final int SHORT = 3;
    /** One pairing must be this much better than the other. */
    private static final double CLEARLY = 0.15;

    private NameMatch() {}

    /**
     * The corner of the first of two names; empty when that cannot be told.
     *
     * @param names first and second name as read
     */
    public static Optional<Corner> first(MatchRecord record, List<String> names) {
        if (names.size() != 2) {
            return Optional.empty();
        }
        String a = record.athlete(Corner.A).name();
        String b = record.athlete(Corner.B).name();
        double firstA = likeness(names.get(0), a);
        double firstB = likeness(names.get(0), b);
        double secondA = likeness(names.get(1), a);
        double secondB = likeness(names.get(1), b);
        boolean known = Math.max(Math.max(firstA, firstB), Math.max(secondA, secondB)) >= LIKE;
        double better = firstA + secondB - firstB - secondA;
        if (!known || Math.abs(better) < CLEARLY) {
            return Optional.empty();
        }
        return Optional.of(better > 0 ? Corner.A : Corner.B);
    }

    /** How much of a name as read is in the full name, 0 to 1. */
    static double likeness(String read, String name) {
        String r = plain(read);
        double best = share(r.replace(" ", ""), plain(name).replace(" ", ""));
        String[] parts = plain(name).split(" ");
        for (String part : parts) {
            for (String own : r.split(" ")) {
                // a surname alone, or with an initial
                best = Math.max(best, part.length() > 1 && own.length() > 1 ? PART * share(own, part) : 0);
            }
            if (part.length() > SHORT && r.replace(" ", "").endsWith(part)) {
                best = Math.max(best, PART);
            }
        }
        return best;
    }

    private static String plain(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replace('0', 'o')
                .replace('1', 'l')
                .replaceAll("[^\\p{L} ]", " ")
                .strip()
                .replaceAll(" +", " ");
    }

    /** 1 less the edit distance as a share of the longer name. */
    private static double share(String a, String b) {
        int longer = Math.max(a.length(), b.length());
        return longer == 0
                ? 0
                : 1 - (double) LevenshteinDistance.getDefaultInstance().apply(a, b) / longer;
    }
}
