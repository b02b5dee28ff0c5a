package farglass.profile;

import farglass.stats.Estimate;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import farglass.tendency.Level;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One sentence about an athlete with the evidence behind it.
 *
 * @param id stable for athlete, kind and subject, so that a pinned claim is found again when the numbers change
 * @param topic which question it answers
 * @param sentence how it is said
 * @param unit what its number counts
 * @param estimate its number; for {@link Topic#NOT_SEEN} the interval is [0, upper bound]
 * @param trials one per dot, in match order
 * @param remarks what else is to be said of the number
 */
public record Claim(
        String id, Topic topic, Sentence sentence, Unit unit, Estimate estimate, List<Trial> trials, Remarks remarks) {
    /**
     * How a claim is said.
     *
     * @param template key of the sentence in the bundle {@code Claims}
     * @param args words for the sentence, the athlete's surname first
     */
    public record Sentence(String template, List<String> args) {
        public Sentence {
            args = List.copyOf(args);
        }
    }

    /** Where a claim is said. */
    public enum Prominence {
        /** Among what is worth saying of the athlete, when its number is. */
        HEADLINE,
        /** On its page only. */
        DETAIL,
        /** On its page only and compared with nobody: it tells what was seen of a kind, not what is done there. */
        COVERAGE
    }

    /**
     * What else is to be said of a number.
     *
     * @param side for side claims, else null
     * @param withoutUnsure the mean without unsure tags, or null when there are none
     * @param hidden occurrences left out because what matters was not visible
     * @param doubts what all its successes have in common
     * @param note key of a remark on how it was counted, or null
     */
    public record Remarks(
            Prominence prominence,
            @Nullable SideBias side,
            @Nullable Double withoutUnsure,
            int hidden,
            List<Level.Doubt> doubts,
            @Nullable String note) {
        static final Remarks NONE = new Remarks(Prominence.HEADLINE, null, null, 0, List.of(), null);

        public Remarks {
            doubts = List.copyOf(doubts);
        }
    }

    /** A claim of which nothing else is to be said. */
    public static Claim of(
            String id,
            Topic topic,
            String template,
            List<String> args,
            Unit unit,
            Estimate estimate,
            List<Trial> trials) {
        return new Claim(id, topic, new Sentence(template, args), unit, estimate, trials, Remarks.NONE);
    }

    /** The questions of a profile, in the order in which a match asks them. */
    public enum Topic {
        OPENING,
        PLACE,
        GUARD,
        ENTRY,
        HOLD,
        EXIT,
        SIDE,
        TECHNIQUE,
        LADDER,
        GRIP,
        RATE,
        FINISH,
        REACTION,
        DILEMMA,
        CHAIN,
        CONTEXT,
        ERROR,
        CHANGE,
        MATTER,
        PATIENCE,
        PREFERENCE,
        OWN,
        NOT_SEEN
    }

    /** What a number counts. */
    public enum Unit {
        /** 0 to 1, counted. */
        SHARE,
        /** 0 to 1, of time: x and n are ms. */
        TIME_SHARE,
        /** Events per ten minutes; n is exposure in ms. */
        PER_TEN_MINUTES,
        /** Milliseconds. */
        TIME,
        /** Difference of two shares, -1 to 1. */
        DIFFERENCE,
        /** How many times as often as expected. */
        TIMES_EXPECTED,
        /** A number of times, without a denominator. */
        COUNT
    }

    private static final Set<Topic> WORKS = Set.of(Topic.TECHNIQUE, Topic.FINISH, Topic.LADDER);

    public Claim {
        trials = List.copyOf(trials);
    }

    /** Key of the sentence. */
    public String template() {
        return sentence.template();
    }

    /** Words for the sentence, the athlete's surname first. */
    public List<String> args() {
        return sentence.args();
    }

    /** Which side, for side claims; else null. */
    public @Nullable SideBias side() {
        return remarks.side();
    }

    /** The mean without unsure tags, or null when there are none. */
    public @Nullable Double withoutUnsure() {
        return remarks.withoutUnsure();
    }

    /** Occurrences left out because what matters was not visible. */
    public int hidden() {
        return remarks.hidden();
    }

    /** What all its successes have in common. */
    public List<Level.Doubt> doubts() {
        return remarks.doubts();
    }

    /** Whether a test that allows for all that was looked at calls it more than chance. */
    public boolean moreThanChance() {
        return SequenceClaims.BADGE.equals(note());
    }

    /** Key of a remark on how it was counted, or null. */
    public @Nullable String note() {
        return remarks.note();
    }

    private Claim with(Remarks r) {
        return new Claim(id, topic, sentence, unit, estimate, trials, r);
    }

    /** The same said elsewhere. */
    Claim shown(Prominence where) {
        return with(new Remarks(where, side(), withoutUnsure(), hidden(), doubts(), note()));
    }

    /** The same with its side. */
    Claim sided(@Nullable SideBias s) {
        return with(new Remarks(remarks.prominence(), s, withoutUnsure(), hidden(), doubts(), note()));
    }

    /** The same with its mean without unsure tags. */
    Claim withoutUnsure(@Nullable Double mean) {
        return with(new Remarks(remarks.prominence(), side(), mean, hidden(), doubts(), note()));
    }

    /** The same with the number of occurrences that were left out. */
    Claim hiding(int occurrences) {
        return with(new Remarks(remarks.prominence(), side(), withoutUnsure(), occurrences, doubts(), note()));
    }

    /** The same with an average to compare with that it was not shrunk toward. */
    Claim against(double average, String where) {
        return new Claim(id, topic, sentence, unit, estimate.against(average, where), trials, remarks);
    }

    /** The same with its doubts. */
    Claim doubted(List<Level.Doubt> about) {
        return with(new Remarks(remarks.prominence(), side(), withoutUnsure(), hidden(), about, note()));
    }

    /** Distance by which the interval clears the library's average; 0 when it contains it or there is none. */
    public double departure() {
        double b = unit == Unit.DIFFERENCE ? 0 : estimate.baseline();
        if (Double.isNaN(b) || (b >= estimate.lo() && b <= estimate.hi())) {
            return 0;
        }
        double d = b < estimate.lo() ? estimate.lo() - b : b - estimate.hi();
        return unit == Unit.PER_TEN_MINUTES ? d / (d + Math.max(b, 0.1)) : d;
    }

    /** Whether all of it happened in one match. */
    public boolean oneMatch() {
        return estimate.matches() == 1;
    }

    /** The same under another sentence. */
    public Claim says(Topic about, String key, List<String> words) {
        return new Claim(id, about, new Sentence(key, words), unit, estimate, trials, remarks);
    }

    /** The same with a note, by its key. */
    public Claim noted(@Nullable String key) {
        return with(new Remarks(remarks.prominence(), side(), withoutUnsure(), hidden(), doubts(), key));
    }

    /** Whether two claims of one kind rest on the same tags and count the same of them. */
    public boolean saysTheSameAs(Claim other) {
        boolean works = WORKS.contains(topic) && WORKS.contains(other.topic);
        return (topic == other.topic || works)
                && unit == other.unit
                && estimate.x() == other.estimate.x()
                && estimate.n() == other.estimate.n()
                && trials.equals(other.trials);
    }
}
