package farglass.study;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.stats.Recency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What to watch first: untagged films in the order of the uncertainty they are expected to remove per minute of work,
 * until the hours are used.
 *
 * <p>A question is an open proportion of the profile. With posterior variance v and mean m it is worth N = m (1 - m) /
 * v - 1 occurrences; a film that brings d more, as many a minute as the films so far, leaves v N / (N + d). The value
 * of a film is the sum of what the variances lose, times its relevance (recency, same attire, same rules). After each
 * choice the questions count what that film is expected to bring, so that the next film is chosen for what is then
 * still open.
 */
public final class StudyOrder {
    /** Tagging takes at most twice the length of the film. */
    private static final double WORK_PER_FILM = 2;

    private static final double OTHER_ATTIRE = 0.5;
    private static final double OTHER_RULES = 0.7;
    private static final double MS_PER_MINUTE = 60_000;
    /** z of a 90 % interval. */
    private static final double Z = 1.6449;

    private StudyOrder() {}

    /**
     * What the study is for.
     *
     * @param hours hours of work there are, positive
     * @param attire attire of the coming match, or null
     * @param ruleset its rules, or null
     * @param asOf its date; ages of films are counted back from it
     * @param halfLifeYears recency half-life, or null for none
     */
    public record Aim(double hours, String attire, String ruleset, LocalDate asOf, Double halfLifeYears) {
        public Aim {
            if (!(hours > 0)) {
                throw new IllegalArgumentException("hours (" + hours + ") must be positive");
            }
        }
    }

    /**
     * A film to watch.
     *
     * @param workMinutes expected minutes of work
     * @param value expected drop of the summed variances, times relevance
     * @param relevance 0..1
     * @param question the claim it is expected to settle most of
     */
    public record Choice(
            MatchRecord record,
            double workMinutes,
            double value,
            double relevance,
            @Nullable Claim question) {}

    /** A record of the athlete that holds no attempt yet: added, not studied. */
    public static boolean open(MatchRecord r) {
        return r.tags().stream().noneMatch(Tag.Action.class::isInstance);
    }

    /**
     * @param records the library
     * @param profile the athlete's profile as it stands; without claims nothing can be weighed and the list is by
     * relevance
     * @return films in the order to watch them, as many as fit into the hours
     */
    public static List<Choice> of(List<MatchRecord> records, Profile profile, Aim aim) {
        List<Question> questions = questions(profile);
        List<MatchRecord> left = new ArrayList<>(records.stream()
                .filter(r -> r.cornerOf(profile.athlete()).isPresent() && open(r))
                .toList());
        List<Choice> chosen = new ArrayList<>();
        double minutes = aim.hours() * 60;
        Set<MatchRecord> tooLong = new HashSet<>();
        while (true) {
            Choice best = left.stream()
                    .filter(r -> !tooLong.contains(r))
                    .map(r -> weigh(r, questions, aim))
                    .max(Comparator.comparingDouble((Choice c) -> c.value() / c.workMinutes())
                            .thenComparingDouble(Choice::relevance)
                            .thenComparing(c -> c.record().id(), Comparator.reverseOrder()))
                    .orElse(null);
            if (best == null) {
                return chosen;
            }
            if (best.workMinutes() > minutes) {
                tooLong.add(best.record());
                continue;
            }
            minutes -= best.workMinutes();
            left.remove(best.record());
            chosen.add(best);
            double film = best.workMinutes() / WORK_PER_FILM;
            questions.forEach(q -> q.occurrences += q.perMinute * film * best.relevance());
        }
    }

    private static Choice weigh(MatchRecord r, List<Question> questions, Aim aim) {
        double film = lengthMs(r) / MS_PER_MINUTE;
        double relevance = relevance(r, aim);
        double sum = 0;
        double most = -1;
        Claim claim = null;
        for (Question q : questions) {
            double drop = q.drop(q.perMinute * film * relevance);
            sum += drop;
            if (drop > most) {
                most = drop;
                claim = q.claim;
            }
        }
        return new Choice(r, film * WORK_PER_FILM, sum, relevance, claim);
    }

    private static long lengthMs(MatchRecord r) {
        Long film = r.films().isEmpty() ? null : r.films().get(0).durationMs();
        return film == null ? r.details().lengthMs() : film;
    }

    private static double relevance(MatchRecord r, Aim aim) {
        double w = r.details().date() == null ? 1 : Recency.weight(r.details().date(), aim.asOf(), aim.halfLifeYears());
        if (aim.attire() != null && !aim.attire().equals(r.details().attire())) {
            w *= OTHER_ATTIRE;
        }
        if (aim.ruleset() != null && !aim.ruleset().equals(r.details().ruleset())) {
            w *= OTHER_RULES;
        }
        return w;
    }

    private static List<Question> questions(Profile profile) {
        List<Question> list = new ArrayList<>();
        double minutes = profile.evidence().exposureMs() / MS_PER_MINUTE;
        for (Claim c : profile.claims()) {
            boolean proportion = c.topic() == Claim.Topic.SIDE || c.topic() == Claim.Topic.TECHNIQUE;
            double m = c.estimate().mean();
            double sd = (c.estimate().hi() - c.estimate().lo()) / (2 * Z);
            if (proportion && minutes > 0 && sd > 0 && m > 0 && m < 1) {
                list.add(new Question(
                        c,
                        m * (1 - m),
                        Math.max(1, m * (1 - m) / (sd * sd) - 1),
                        c.estimate().n() / minutes));
            }
        }
        return list;
    }

    /** An open proportion and how many occurrences it is worth so far. */
    private static final class Question {
        private final Claim claim;
        private final double spread;
        private final double perMinute;
        private double occurrences;

        Question(Claim claim, double spread, double occurrences, double perMinute) {
            this.claim = claim;
            this.spread = spread;
            this.occurrences = occurrences;
            this.perMinute = perMinute;
        }

        /** What the variance loses by so many more occurrences. */
        double drop(double more) {
            return spread / (occurrences + 1) - spread / (occurrences + more + 1);
        }
    }
}
