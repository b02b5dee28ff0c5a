package farglass.matchup.gameplan;

import farglass.match.Corner;
import farglass.match.Tag;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.Weapon;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.Reactions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A weapon of the opponent with what helps against it.
 *
 * @param sign what the opponent does shortly before most often: a grip, an action, or how he stands
 * @param prevents what others answered it with that let it through least often; empty when no answer was seen often
 * enough, or none did better than all answers together
 * @param wayOut what our athlete has shown from where it leads; empty for a submission, or when nothing was seen
 * @param worked of tries against our athlete; a sum of match weights
 * @param tried those whose outcome was seen; likewise
 */
public record Threat(
        Weapon weapon,
        Optional<Counted> sign,
        Optional<Reactions.Answer> prevents,
        Optional<Exit> wayOut,
        double worked,
        double tried) {
    /** What comes so shortly before may be a sign. */
    private static final long BEFORE_MS = 10_000;
    /** Of tries, what shares a sign at least. */
    private static final double SHARE = 0.3;

    private static final int LEAST = 3;
    private static final int TRIGGERS = 60;
    private static final long SEED = 1;

    /** The tags that its lines rest on. */
    public List<TagRef> tags() {
        Stream<TagRef> signs = sign.stream().flatMap(s -> s.tags().stream());
        Stream<TagRef> out = wayOut.stream().flatMap(e -> e.basis().tags().stream());
        return Stream.of(weapon.tags().stream(), signs, out)
                .flatMap(s -> s)
                .distinct()
                .toList();
    }

    static List<Threat> of(MeetingSolution solved, List<Weapon> weapons, Evidence theirs) {
        List<Reactions.Row> answers = Reactions.of(theirs, false, TRIGGERS, SEED);
        return weapons.stream().map(w -> one(solved, w, theirs, answers)).toList();
    }

    private static Threat one(MeetingSolution solved, Weapon w, Evidence theirs, List<Reactions.Row> answers) {
        Meeting meeting = solved.meeting();
        double worked = 0;
        double tried = 0;
        for (ModelState from : w.exits().stream().map(Exit::from).distinct().toList()) {
            double[] faced = meeting.faced(from, false, w.technique());
            worked += faced[0];
            tried += faced[1];
        }
        return new Threat(
                w,
                sign(w, theirs),
                answers.stream()
                        .filter(r -> r.trigger().equals(w.technique()))
                        .findFirst()
                        .flatMap(Threat::best),
                wayOut(meeting.model(), w),
                worked,
                tried);
    }

    private static Optional<Counted> sign(Weapon w, Evidence theirs) {
        Map<String, List<TagRef>> before = new TreeMap<>();
        int tries = 0;
        for (TagRef ref : w.tags()) {
            Evidence.Seen seen = theirs.match(ref.match()).orElse(null);
            int at = seen == null ? -1 : at(seen, ref);
            if (seen != null && at >= 0) {
                tries++;
                signs(seen, at)
                        .forEach(code -> before.computeIfAbsent(code, k -> new ArrayList<>())
                                .add(ref));
            }
        }
        return Counted.most(before, tries, LEAST, SHARE);
    }

    private static int at(Evidence.Seen seen, TagRef ref) {
        for (int i = 0; i < seen.record().tags().size(); i++) {
            if (seen.trial(i, true).tag().equals(ref)) {
                return i;
            }
        }
        return -1;
    }

    /** What the athlete did or held in the seconds before a tag. */
    private static Set<String> signs(Evidence.Seen seen, int at) {
        List<Tag> tags = seen.record().tags();
        Tag tried = tags.get(at);
        Set<String> codes = new HashSet<>();
        for (int i = at - 1; i >= 0; i--) {
            Tag t = tags.get(i);
            boolean soon = tried.t().since(t.t()) <= BEFORE_MS;
            code(t, seen.corner(), soon, tried).ifPresent(codes::add);
        }
        return codes;
    }

    private static Optional<String> code(Tag t, Corner who, boolean soon, Tag tried) {
        if (t instanceof Tag.Grip g && g.by() == who) {
            boolean held = g.until() != null && g.until().compareTo(tried.t()) >= 0;
            return soon || held ? Optional.of(g.grip()) : Optional.empty();
        }
        if (t instanceof Tag.Action a && a.by() == who && soon) {
            boolean same = tried instanceof Tag.Action x && x.technique().equals(a.technique());
            return same ? Optional.empty() : Optional.of(a.technique());
        }
        return t instanceof Tag.Body b && b.of() == who && soon ? Optional.of(b.fact()) : Optional.empty();
    }

    /** Of the answers whose outcome was seen often enough, the one that let it through least, below the average. */
    private static Optional<Reactions.Answer> best(Reactions.Row row) {
        double all = row.answers().stream().mapToDouble(a -> a.results().size()).sum();
        double through = row.answers().stream()
                .flatMap(a -> a.results().stream())
                .filter(t -> t.worked())
                .count();
        return row.answers().stream()
                .filter(a -> !a.answer().equals("none") && a.results().size() >= LEAST)
                .filter(a -> share(a) < through / all)
                .min(Comparator.comparingDouble(Threat::share)
                        .thenComparing(a -> -a.results().size())
                        .thenComparing(Reactions.Answer::answer));
    }

    private static double share(Reactions.Answer a) {
        return a.results().stream().filter(t -> t.worked()).count()
                / (double) a.results().size();
    }

    /** From the place that it mostly leads to, what of ours gets out most often. */
    private static Optional<Exit> wayOut(Model m, Weapon w) {
        return w.exits().stream()
                .flatMap(e -> e.to().entrySet().stream())
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .flatMap(place -> m.exits(place.paid(false), true).stream()
                        .filter(e -> e.technique() != null && !e.basis().tags().isEmpty())
                        .max(Comparator.comparingDouble((Exit e) -> e.rate() * e.chance())));
    }
}
