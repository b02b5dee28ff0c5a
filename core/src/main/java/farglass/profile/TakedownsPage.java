package farglass.profile;

import static java.util.Objects.requireNonNull;

import farglass.match.Span;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.tendency.MatchFacts;
import farglass.tendency.Moment;
import farglass.tendency.Opening;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Who engages and how, who gets the first grip, what brings the other down. */
final class TakedownsPage {
    private static final Set<String> DOWN = Set.of("takedown", "guard-pull");
    private static final long SOON_MS = 20_000;
    /** Grips for which it counts that either of the two may have the first. */
    private static final double EITHER = 4;

    private final ClaimFactory q;

    private TakedownsPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new TakedownsPage(q).page();
    }

    private ClaimPage page() {
        List<Claim> down = new ArrayList<>();
        Claim ground = ground();
        if (ground != null) {
            down.add(ground);
        }
        return new ClaimPage(
                Question.TAKEDOWNS,
                List.of(
                        Section.of("takedowns.opening", openings()),
                        Section.of("takedowns.ground", down),
                        Section.of("takedowns.pulled", pulled()),
                        Section.of("takedowns.grips", grips()),
                        Section.of("takedowns.styles", Techniques.chosen(q, "takedown", "takedowns.chosen")),
                        Section.of("takedowns.works", Techniques.success(q, DOWN::contains)),
                        Section.of("takedowns.sides", Techniques.sides(q, "takedown")),
                        Section.of("takedowns.rates", Techniques.rates(q, DOWN::contains)),
                        Section.of("takedowns.against", Techniques.against(q, "takedown"))));
    }

    /** Who engages first, and how: one trial per match seen from its start. */
    private List<Claim> openings() {
        Map<Opening, List<Trial>> openings = new EnumMap<>(Opening.class);
        for (Opening o : Opening.values()) {
            openings.put(o, new ArrayList<>());
        }
        for (Evidence.Seen seen : q.evidence().matches()) {
            MatchFacts.Act first = Opening.first(seen.facts());
            if (first != null && seen.counts(first.action().t())) {
                Opening how = Opening.of(first, seen.corner());
                openings.forEach((o, trials) -> trials.add(seen.trial(first.index(), o == how)));
            }
        }
        List<Claim> claims = new ArrayList<>();
        openings.forEach((o, trials) -> {
            if (trials.stream().anyMatch(Trial::worked)) {
                String key = "opening." + o.name().toLowerCase(Locale.ROOT);
                claims.add(q.proportion(
                        key, Claim.Topic.OPENING, key, q.words(), trials, q.opening(o), Clustering.DEFAULT_RHO, 0));
            }
        });
        return claims;
    }

    /** Which guard the athlete's own pulls lead to. */
    private List<Claim> pulled() {
        List<Evidence.Act> pulls = q.evidence().ownOf("guard-pull").stream()
                .filter(a -> a.action().completed() && a.action().to() != null)
                .toList();
        List<Claim> claims = new ArrayList<>();
        if (pulls.size() >= Techniques.ATTEMPTS) {
            pulls.stream()
                    .map(a -> requireNonNull(a.action().to()))
                    .distinct()
                    .sorted()
                    .forEach(place -> claims.add(q.plain(
                            "pulled." + place,
                            Claim.Topic.ENTRY,
                            "takedowns.pulled.to",
                            q.words(q.lexicon().positionName(place)),
                            pulls.stream()
                                    .map(a -> a.trial(place.equals(a.action().to())))
                                    .toList())));
        }
        return Techniques.mostFirst(claims);
    }

    /** Seconds until both are no longer on their feet, per match seen from its start; null for a part of the match. */
    private @Nullable Claim ground() {
        if (!q.evidence().filter().moment().equals(Moment.ANY)) {
            return null;
        }
        List<Long> ms = new ArrayList<>();
        List<Trial> trials = new ArrayList<>();
        for (Evidence.Seen seen : q.evidence().matches()) {
            List<Span> spans = seen.line().spans();
            if (spans.isEmpty() || spans.get(0).leftTruncated()) {
                continue;
            }
            spans.stream()
                    .filter(s -> !PositionGroups.neutral(q.lexicon(), s.place()) && seen.counts(s.from()))
                    .findFirst()
                    .ifPresent(s -> {
                        ms.add(s.from().ms());
                        trials.add(seen.trial(s.tag(), true));
                    });
        }
        return q.time("takedowns.ground", Claim.Topic.OPENING, "takedowns.ground.time", q.words(), ms, trials);
    }

    /** Whose is the first grip after every return to the feet, and which are the athlete's. */
    private List<Claim> grips() {
        List<Trial> mine = new ArrayList<>();
        Map<String, List<Integer>> which = new TreeMap<>();
        List<Trial> own = new ArrayList<>();
        for (Evidence.Seen seen : q.evidence().matches()) {
            List<Tag> tags = seen.record().tags();
            for (Span s : seen.line().spans()) {
                int first = PositionGroups.neutral(q.lexicon(), s.place()) ? firstGrip(tags, s) : -1;
                if (first < 0 || !seen.counts(tags.get(first).t())) {
                    continue;
                }
                Tag.Grip g = (Tag.Grip) tags.get(first);
                mine.add(seen.trial(first, g.by() == seen.corner()));
                if (g.by() == seen.corner()) {
                    which.computeIfAbsent(g.grip(), k -> new ArrayList<>()).add(own.size());
                    own.add(seen.trial(first, true));
                }
            }
        }
        List<Claim> claims = new ArrayList<>();
        if (mine.size() >= Techniques.ATTEMPTS) {
            claims.add(q.proportion(
                    "grip.first",
                    Claim.Topic.GRIP,
                    "grip.first",
                    q.words(),
                    mine,
                    BetaPrior.fixed(0.5, EITHER, "either of the two"),
                    Clustering.DEFAULT_RHO,
                    0));
        }
        which.forEach((grip, at) -> {
            List<Trial> trials = new ArrayList<>();
            for (int i = 0; i < own.size(); i++) {
                Trial t = own.get(i);
                trials.add(new Trial(t.tag(), t.index(), t.t(), at.contains(i), t.weight(), t.unsure()));
            }
            if (trials.size() >= Techniques.ATTEMPTS) {
                String name =
                        q.lexicon().grip(grip).map(farglass.lexicon.Grip::name).orElse(grip);
                claims.add(q.plain("grip.first." + grip, Claim.Topic.GRIP, "grip.which", q.words(name), trials));
            }
        });
        return claims;
    }

    private static int firstGrip(List<Tag> tags, Span s) {
        for (int i = s.tag(); i < tags.size(); i++) {
            Tag t = tags.get(i);
            if (t.t().since(s.from()) > SOON_MS || t.t().compareTo(s.to()) >= 0) {
                return -1;
            }
            if (t instanceof Tag.Grip) {
                return i;
            }
        }
        return -1;
    }
}
