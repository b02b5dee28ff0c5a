package farglass.narration;

import farglass.narration.Word.Pause;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Where sentences and clauses begin and end: at pauses and, since machines write none, before words that begin
 * something new.
 */
final class Clauses {
    private static final Set<String> JOINS =
            Set.of("and", "but", "so", "then", "now", "okay", "ok", "because", "while", "as", "although", "however");
    private static final Set<String> BEGINS = Set.of(
            "he", "she", "they", "hes", "shes", "theyre", "now", "then", "there", "theres", "here", "so", "look",
            "watch", "lets", "that", "thats", "this", "you", "we", "i", "its", "it");
    /** Behind these a sentence goes on. */
    private static final Set<String> OPEN = Set.of(
            "if", "when", "that", "because", "how", "what", "why", "where", "as", "while", "before", "after", "than",
            "like", "of", "to", "for", "with", "from", "by", "on", "in", "at", "between", "against", "the", "a", "and",
            "but", "so", "then", "now", "okay", "ok", "which", "who", "is", "was", "see", "think", "does", "under",
            "over", "behind", "past", "around", "into", "about");
    /** Words of a part of a sentence at least. */
    private static final int THOUGHT = 4;

    private static final String POINTS = ".,;:!?";
    /** Words of a sentence at least, and at most, where nobody wrote where it ends. */
    private static final int SHORT = 5;

    private static final int LONG = 26;
    /** One pause in so many words at least is written by somebody who writes pauses. */
    private static final int WRITTEN = 30;

    private final List<Word> words;
    /** After each word: 0 nothing, 1 a clause ends, 2 a sentence does. */
    private final int[] ends;
    /** Whether somebody is named from a word on. */
    private final boolean[] named;
    /** Whether somebody wrote where sentences end. */
    private final boolean written;
    /** The same by points, not by the silence between captions. */
    private final boolean marked;

    Clauses(List<Word> words, People people) {
        this.words = words;
        this.ends = new int[words.size()];
        this.named = new boolean[words.size()];
        for (int i = 0; i < named.length; i++) {
            named[i] = people.at(words, i) != null;
        }
        long pauses = words.stream().filter(w -> w.pause() == Pause.LONG).count();
        written = pauses * WRITTEN >= words.size();
        long points = words.stream()
                .filter(w -> POINTS.indexOf(w.said().charAt(w.said().length() - 1)) >= 0)
                .count();
        marked = points * WRITTEN >= words.size();
        int length = 0;
        for (int i = 0; i < ends.length; i++) {
            length++;
            boolean last = i + 1 == ends.length;
            boolean joins = !last && JOINS.contains(words.get(i + 1).bare());
            boolean anew = joins
                    && i + 2 < ends.length
                    && (BEGINS.contains(words.get(i + 2).bare()) || named[i + 2]);
            if (last
                    || words.get(i).pause() == Pause.LONG
                    || (!written && ((anew && length > SHORT) || length >= LONG))) {
                ends[i] = 2;
                length = 0;
            } else if (words.get(i).pause() == Pause.SHORT || joins) {
                ends[i] = 1;
            }
        }
    }

    /** Whether somebody wrote where sentences end. */
    boolean written() {
        return written;
    }

    /** Index of the first word of the clause (1) or sentence (2) that a word belongs to. */
    int begin(int word, int strength) {
        int i = word;
        while (i > 0 && ends[i - 1] < strength) {
            i--;
        }
        return i;
    }

    /** Index behind the last word of it. */
    int end(int word, int strength) {
        int i = word;
        while (i < ends.length && ends[i] < strength) {
            i++;
        }
        return Math.min(ends.length, i + 1);
    }

    /**
     * What may be thoughts of their own in a sentence, as their ends: the sentence itself where sentences are written,
     * else parts that begin with somebody.
     */
    List<Integer> thoughts(int begin, int end) {
        List<Integer> stops = new ArrayList<>();
        int from = begin;
        for (int i = begin; !marked && i + 1 < end; i++) {
            String next = words.get(i + 1).bare();
            boolean anew = (BEGINS.contains(next) || JOINS.contains(next) || named[i + 1])
                    && !OPEN.contains(words.get(i).bare())
                    && !named[i];
            if (anew && i + 1 - from >= THOUGHT && end - i - 1 >= THOUGHT) {
                stops.add(i + 1);
                from = i + 1;
            }
        }
        stops.add(end);
        return stops;
    }

    /** Bare words with a blank before, between and behind. */
    String bare(int from, int to) {
        return from >= to
                ? " "
                : words.subList(from, to).stream().map(Word::bare).collect(Collectors.joining(" ", " ", " "));
    }

    /** As it was said. */
    String said(int from, int to) {
        return words.subList(from, to).stream().map(Word::said).collect(Collectors.joining(" "));
    }
}
