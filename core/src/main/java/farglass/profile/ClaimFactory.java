package farglass.profile;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Difference;
import farglass.stats.Estimate;
import farglass.stats.GammaPrior;
import farglass.stats.Grade;
import farglass.stats.Median;
import farglass.stats.Proportion;
import farglass.stats.Rate;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Baseline;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Level;
import farglass.tendency.Opening;
import farglass.tendency.PositionTimes;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import org.jspecify.annotations.Nullable;

/** An athlete's evidence, the library's average, and how numbers are made of them; every page asks through it. */
final class ClaimFactory {
    private static final double TEN = 10;

    private final Evidence evidence;
    private final Baseline baseline;
    private final String surname;
    private final long seed;

    ClaimFactory(Evidence evidence, Baseline baseline, String name, long seed) {
        this.evidence = evidence;
        this.baseline = baseline;
        this.surname = name.substring(name.lastIndexOf(' ') + 1);
        this.seed = seed;
    }

    /** The same athlete under another filter. */
    ClaimFactory under(Filter other) {
        return new ClaimFactory(evidence.under(other), baseline, surname, seed);
    }

    Evidence evidence() {
        return evidence;
    }

    Baseline baseline() {
        return baseline;
    }

    Lexicon lexicon() {
        return evidence.lexicon();
    }

    /** One random stream per claim. */
    long stream(String id) {
        return seed + id.hashCode();
    }

    /** The sentence's words with the surname before them. */
    List<String> words(@Nullable String... more) {
        List<String> words = new ArrayList<>(List.of(surname));
        words.addAll(List.of(more));
        return words;
    }

    /** Prior of a technique's success: the library's, or none when the filter has the baseline off. */
    BetaPrior success(String technique) {
        return evidence.filter().baseline() ? baseline.success(technique, evidence.athlete()) : BetaPrior.jeffreys();
    }

    /** Prior of how often a match begins in a way; it knows nothing when the filter has the baseline off. */
    BetaPrior opening(Opening how) {
        return evidence.filter().baseline() ? baseline.opening(how, evidence.athlete()) : BetaPrior.jeffreys();
    }

    /** Prior of how often a match is won, or lost, by submission. */
    BetaPrior submission(boolean won) {
        return evidence.filter().baseline() ? baseline.submission(won, evidence.athlete()) : BetaPrior.jeffreys();
    }

    /** Prior of how often a family of techniques works per minute of a match. */
    GammaPrior landed(String family) {
        return evidence.filter().baseline() ? baseline.landed(family, evidence.athlete()) : GammaPrior.jeffreys();
    }

    /** How often a technique works for the others in ten minutes of their matches, NaN without others. */
    double landedMean(String technique) {
        return evidence.filter().baseline() ? TEN * baseline.landedMean(technique, evidence.athlete()) : Double.NaN;
    }

    /** Prior of the share of the stays in a place in which a technique is tried. */
    BetaPrior tried(Situation at, String technique) {
        return evidence.filter().baseline() ? baseline.tried(at, technique, evidence.athlete()) : BetaPrior.jeffreys();
    }

    BetaPrior familySuccess(String family) {
        return evidence.filter().baseline() ? baseline.familySuccess(family, evidence.athlete()) : BetaPrior.jeffreys();
    }

    double rho(String family) {
        return baseline.rho(family);
    }

    Claim proportion(
            String id,
            Claim.Topic topic,
            String template,
            List<String> args,
            List<Trial> trials,
            BetaPrior prior,
            double rho,
            int hidden) {
        Estimate all = Proportion.of(trials, prior, rho, stream(id));
        Double sure = null;
        if (trials.stream().anyMatch(Trial::unsure)) {
            sure = Proportion.of(trials.stream().filter(t -> !t.unsure()).toList(), prior, rho, stream(id))
                    .mean();
        }
        return Claim.of(id, topic, template, args, Claim.Unit.SHARE, all, trials)
                .withoutUnsure(sure)
                .hiding(hidden)
                .doubted(Level.of(evidence, trials));
    }

    /** A proportion that no library average belongs to. */
    Claim plain(String id, Claim.Topic topic, String template, List<String> args, List<Trial> trials) {
        return proportion(id, topic, template, args, trials, BetaPrior.jeffreys(), Clustering.DEFAULT_RHO, 0);
    }

    /**
     * Share of time.
     *
     * @param wanted place and role counted
     * @param denominator place and role watched
     */
    Claim share(
            String id,
            Claim.Topic topic,
            String template,
            List<String> args,
            BiPredicate<String, Role> wanted,
            BiPredicate<String, Role> denominator) {
        List<Evidence.Visit> places =
                evidence.visits((place, role) -> denominator.test(place, role) && wanted.test(place, role));
        Estimate e = PositionTimes.share(evidence, places, denominator);
        if (evidence.filter().baseline()) {
            e = e.against(baseline.share(wanted, denominator, evidence.athlete()), CoreWords.of("prior.average"));
        }
        return Claim.of(
                id,
                topic,
                template,
                args,
                Claim.Unit.TIME_SHARE,
                e,
                places.stream().map(p -> p.trial(true)).toList());
    }

    /**
     * Events per ten minutes of exposure.
     *
     * @param counted places and roles in which they could have happened
     * @return null without any exposure: there is no rate then
     */
    @Nullable
    Claim rate(
            String id,
            Claim.Topic topic,
            String template,
            List<String> args,
            List<Trial> events,
            BiPredicate<String, Role> counted,
            GammaPrior prior) {
        Map<Evidence.Seen, long[]> exposure = evidence.time(counted);
        Map<String, Integer> counts = new HashMap<>();
        events.forEach(t -> counts.merge(t.tag().match(), 1, Integer::sum));
        List<Rate.Exposed> matches = new ArrayList<>();
        for (Evidence.Seen s : evidence.matches()) {
            double ms = exposure.containsKey(s) ? exposure.get(s)[0] : 0;
            if (ms > 0) {
                matches.add(new Rate.Exposed(counts.getOrDefault(s.record().id(), 0), ms, s.weight()));
            }
        }
        if (matches.isEmpty()) {
            return null;
        }
        List<TagRef> tags = events.stream().map(Trial::tag).toList();
        Estimate all = Rate.of(matches, prior, tags);
        return Claim.of(id, topic, template, args, Claim.Unit.PER_TEN_MINUTES, all, events);
    }

    /** How often a technique is tried while it could be; null when it never could. */
    @Nullable
    Claim technique(String id, Claim.Topic topic, String template, Technique t, List<Trial> events) {
        GammaPrior prior =
                evidence.filter().baseline() ? baseline.rate(t.code(), evidence.athlete()) : GammaPrior.jeffreys();
        return rate(
                id,
                topic,
                template,
                words(t.name()),
                events,
                (place, role) -> Baseline.possible(t, place, role),
                prior);
    }

    /** The middle of some times; null without any. */
    @Nullable
    Claim time(String id, Claim.Topic topic, String template, List<String> args, List<Long> ms, List<Trial> trials) {
        if (ms.isEmpty()) {
            return null;
        }
        return Claim.of(id, topic, template, args, Claim.Unit.TIME, Median.of(ms, trials), trials);
    }

    /** Success with something less success without it; the dots are both, those with it first. */
    Claim difference(
            String id,
            Claim.Topic topic,
            String template,
            List<String> args,
            List<Trial> with,
            List<Trial> without,
            BetaPrior prior,
            double rho) {
        Estimate a = Proportion.of(with, prior, rho, stream(id));
        Estimate b = Proportion.of(without, prior, rho, stream(id) + 1);
        Difference d = Difference.of(a, b);
        List<Trial> trials = new ArrayList<>(with);
        trials.addAll(without);
        Grade grade = d.grade();
        List<String> words = new ArrayList<>(args);
        for (Estimate e : List.of(a, b)) {
            // the share of the counts beside it: one kind of number in one sentence
            words.add(ClaimWriter.percent(e.raw()));
            words.add(Long.toString((long) e.x()));
            words.add(Long.toString((long) e.n()));
        }
        Estimate e = new Estimate(
                new Estimate.Observed(
                        a.x() + b.x(),
                        a.n() + b.n(),
                        a.raw() - b.raw(),
                        (int) trials.stream()
                                .map(t -> t.tag().match())
                                .distinct()
                                .count(),
                        Math.min(a.effective(), b.effective())),
                d.value(),
                new Estimate.Interval(d.lo(), d.hi()),
                grade,
                new Estimate.Reference(Double.NaN, prior.source()),
                null,
                trials.stream().map(Trial::tag).toList());
        return Claim.of(id, topic, template, words, Claim.Unit.DIFFERENCE, e, trials);
    }
}
