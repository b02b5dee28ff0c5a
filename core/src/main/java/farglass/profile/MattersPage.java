package farglass.profile;

import static java.util.Objects.requireNonNull;

import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.Role;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Does it matter? Success with something less success without it. */
final class MattersPage {
    private static final int EACH = 3;
    private static final long HARD_MS = 60_000;
    private static final int HARD_ATTEMPTS = 4;
    private static final long HELD_MS = 10_000;

    private final ClaimFactory q;
    private final List<Evidence.Act> attacks;

    private MattersPage(ClaimFactory q) {
        this.q = q;
        this.attacks = q.evidence().own(a -> a.decided() && PositionGroups.ATTACKS.contains(a.family()));
    }

    static ClaimPage of(ClaimFactory q) {
        return new MattersPage(q).page();
    }

    private ClaimPage page() {
        return new ClaimPage(
                Question.MATTERS,
                List.of(
                        Section.of("matters.facts", facts()),
                        Section.of("matters.grips", grips()),
                        Section.of("matters.checks", checks()),
                        Section.of("matters.turns", turns()),
                        Section.of("matters.tries", tries()),
                        Section.of("matters.work", work()),
                        Section.of("matters.cause", causes())));
    }

    private void compare(
            List<Claim> claims,
            String id,
            String template,
            List<String> words,
            List<Evidence.Act> among,
            Predicate<Evidence.Act> with) {
        // within a technique: what is only ever done one way tells nothing of the other
        Map<String, Set<Boolean>> ways = new HashMap<>();
        among.forEach(a -> ways.computeIfAbsent(a.action().technique(), k -> new HashSet<>())
                .add(with.test(a)));
        List<Evidence.Act> both = among.stream()
                .filter(a -> requireNonNull(ways.get(a.action().technique())).size() == 2)
                .toList();
        List<Trial> yes = both.stream().filter(with).map(Evidence.Act::trial).toList();
        List<Trial> no =
                both.stream().filter(with.negate()).map(Evidence.Act::trial).toList();
        if (yes.size() >= EACH && no.size() >= EACH) {
            claims.add(q.difference(
                    id, Claim.Topic.MATTER, template, words, yes, no, BetaPrior.jeffreys(), Clustering.DEFAULT_RHO));
        }
    }

    private static List<Claim> clearFirst(List<Claim> claims) {
        claims.sort(Comparator.comparing((Claim c) -> c.estimate().grade())
                .thenComparing(Comparator.comparingDouble(Claim::departure).reversed())
                .thenComparing(
                        Comparator.comparingDouble((Claim c) -> c.estimate().n())
                                .reversed())
                .thenComparing(Claim::id));
        return claims;
    }

    /** @param who {@code own} or {@code other} */
    private record Fact(String who, String fact) implements Comparable<Fact> {
        private static final Comparator<Fact> ORDER =
                Comparator.comparing(Fact::who).thenComparing(Fact::fact);

        @Override
        public int compareTo(Fact o) {
            return ORDER.compare(this, o);
        }
    }

    /** Body facts of either athlete that held when the attack began, by family of attack. */
    private List<Claim> facts() {
        IdentityHashMap<Evidence.Act, Set<Fact>> there = new IdentityHashMap<>();
        Set<Fact> seen = new TreeSet<>();
        for (Evidence.Act a : attacks) {
            Set<Fact> held = new HashSet<>();
            before(a, (tag, changed) -> {
                if (tag instanceof Tag.Body b && holds(b.until(), a, changed)) {
                    held.add(new Fact(b.of() == a.seen().corner() ? "own" : "other", b.fact()));
                }
            });
            there.put(a, held);
            seen.addAll(held);
        }
        List<Claim> claims = new ArrayList<>();
        Map<String, List<Evidence.Act>> families = families();
        for (Fact fact : seen) {
            families.forEach((family, acts) -> compare(
                    claims,
                    "matters.fact." + fact.who() + "." + fact.fact() + "." + family,
                    "matters.fact." + fact.who(),
                    q.words(CoreWords.code(family), CoreWords.code(fact.fact())),
                    acts,
                    a -> requireNonNull(there.get(a)).contains(fact)));
        }
        return clearFirst(claims);
    }

    private Map<String, List<Evidence.Act>> families() {
        Map<String, List<Evidence.Act>> map = new TreeMap<>();
        attacks.forEach(
                a -> map.computeIfAbsent(a.family(), k -> new ArrayList<>()).add(a));
        return map;
    }

    /** A fact or grip holds until it is said to end, or until the next change of position. */
    private static boolean holds(@Nullable MatchTime until, Evidence.Act a, boolean changed) {
        return until == null ? !changed : until.compareTo(a.action().t()) >= 0;
    }

    /** The tags before an attack, the nearest first, and whether the position changed between. */
    private static void before(Evidence.Act a, BiConsumer<Tag, Boolean> look) {
        List<Tag> tags = a.seen().record().tags();
        boolean changed = false;
        for (int i = a.index() - 1; i >= 0; i--) {
            Tag tag = tags.get(i);
            look.accept(tag, changed);
            changed |= tag instanceof Tag.Position || tag instanceof Tag.Stop;
        }
    }

    /** Grips that were there before the attack, and how deep. */
    private List<Claim> grips() {
        List<Claim> claims = new ArrayList<>();
        TreeSet<String> kinds = new TreeSet<>();
        IdentityHashMap<Evidence.Act, List<Tag.Grip>> held = new IdentityHashMap<>();
        attacks.forEach(a -> held.put(a, grips(a)));
        held.values().forEach(grips -> grips.forEach(g -> kinds.add(g.grip())));
        families().forEach((family, acts) -> {
            for (String grip : kinds) {
                String name =
                        q.lexicon().grip(grip).map(farglass.lexicon.Grip::name).orElse(grip);
                compare(
                        claims,
                        "matters.grip." + grip + "." + family,
                        "matters.grip",
                        q.words(CoreWords.code(family), name),
                        acts,
                        a -> requireNonNull(held.get(a)).stream()
                                .anyMatch(g -> g.grip().equals(grip)));
            }
            compare(
                    claims,
                    "matters.prepared." + family,
                    "matters.prepared",
                    q.words(CoreWords.code(family)),
                    acts,
                    a -> !requireNonNull(held.get(a)).isEmpty());
            compare(
                    claims,
                    "matters.deep." + family,
                    "matters.deep",
                    q.words(CoreWords.code(family)),
                    acts.stream()
                            .filter(a -> requireNonNull(held.get(a)).stream().anyMatch(g -> g.depth() != null))
                            .toList(),
                    a -> requireNonNull(held.get(a)).stream().anyMatch(g -> "deep".equals(g.depth())));
        });
        return clearFirst(claims);
    }

    /** The athlete's own grips when the attack began. */
    private static List<Tag.Grip> grips(Evidence.Act a) {
        Corner me = a.seen().corner();
        List<Tag.Grip> held = new ArrayList<>();
        before(a, (tag, changed) -> {
            if (tag instanceof Tag.Grip g && g.by() == me && holds(g.until(), a, changed)) {
                held.add(g);
            }
        });
        return held;
    }

    private List<Claim> checks() {
        List<Claim> claims = new ArrayList<>();
        Techniques.byTechnique(q, a -> a.decided() && !a.action().checks().isEmpty())
                .forEach((code, acts) -> {
                    TreeSet<String> points = new TreeSet<>();
                    acts.forEach(a -> points.addAll(a.action().checks().keySet()));
                    for (String point : points) {
                        compare(
                                claims,
                                "matters.check." + code + "." + point,
                                "matters.check",
                                q.words(q.lexicon().techniqueName(code), CoreWords.code(point)),
                                acts.stream()
                                        .filter(a -> a.action().checks().containsKey(point))
                                        .toList(),
                                a -> a.action().checks().get(point));
                    }
                });
        return clearFirst(claims);
    }

    /** Changes of direction: any against none, more than one against one, and ending on the side where it began. */
    private List<Claim> turns() {
        List<Claim> claims = new ArrayList<>();
        families().forEach((family, acts) -> {
            String name = CoreWords.code(family);
            List<Evidence.Act> sided =
                    acts.stream().filter(a -> !a.action().sides().isEmpty()).toList();
            List<Evidence.Act> turned =
                    sided.stream().filter(a -> a.action().sides().size() > 1).toList();
            compare(
                    claims,
                    "matters.turned." + family,
                    "matters.turned",
                    q.words(name),
                    sided,
                    a -> a.action().sides().size() > 1);
            compare(
                    claims,
                    "matters.turned.twice." + family,
                    "matters.turned.twice",
                    q.words(name),
                    turned,
                    a -> a.action().sides().size() > 2);
            compare(
                    claims,
                    "matters.same-side." + family,
                    "matters.same-side",
                    q.words(name),
                    turned,
                    a -> a.action().firstSide() == a.action().side());
        });
        return clearFirst(claims);
    }

    /** The first try of a technique in a match against later ones, and against someone met before. */
    private List<Claim> tries() {
        IdentityHashMap<Evidence.Act, Integer> nth = new IdentityHashMap<>();
        Map<String, Integer> counts = new HashMap<>();
        Set<String> metBefore = new HashSet<>();
        Set<String> met = new HashSet<>();
        for (Evidence.Seen s : q.evidence().matches()) {
            String other = s.record().athlete(s.corner().other()).id();
            if (!met.add(other)) {
                metBefore.add(s.record().id());
            }
        }
        for (Evidence.Act a : attacks) {
            String key = a.seen().record().id() + " " + a.action().technique();
            nth.put(a, counts.merge(key, 1, Integer::sum));
        }
        List<Claim> claims = new ArrayList<>();
        families().forEach((family, acts) -> {
            String name = CoreWords.code(family);
            compare(
                    claims,
                    "matters.again." + family,
                    "matters.again",
                    q.words(name),
                    acts,
                    a -> requireNonNull(nth.get(a)) > 1);
            compare(
                    claims,
                    "matters.third." + family,
                    "matters.third",
                    q.words(name),
                    acts.stream().filter(a -> requireNonNull(nth.get(a)) > 1).toList(),
                    a -> requireNonNull(nth.get(a)) > 2);
            compare(
                    claims,
                    "matters.met." + family,
                    "matters.met",
                    q.words(name),
                    acts,
                    a -> metBefore.contains(a.seen().record().id()));
        });
        return clearFirst(claims);
    }

    /** After hard work: at least 4 attempts of either athlete in the minute before. */
    private List<Claim> work() {
        Set<Evidence.Act> hard = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Evidence.Act> before = new ArrayDeque<>();
        for (Evidence.Act a : q.evidence().acts(a -> !a.family().equals("grip"))) {
            while (!before.isEmpty() && gone(before.peek(), a)) {
                before.remove();
            }
            if (before.size() >= HARD_ATTEMPTS) {
                hard.add(a);
            }
            before.add(a);
        }
        List<Claim> claims = new ArrayList<>();
        families()
                .forEach((family, acts) -> compare(
                        claims,
                        "matters.hard." + family,
                        "matters.hard",
                        q.words(CoreWords.code(family)),
                        acts,
                        a -> hard.contains(a)));
        return clearFirst(claims);
    }

    /** Whether an earlier act lies in another match or too far back. */
    private static boolean gone(Evidence.Act earlier, Evidence.Act a) {
        return earlier.seen() != a.seen()
                || a.action().t().since(earlier.action().t()) > HARD_MS;
    }

    /**
     * Places where the athlete is ahead that were forced, against those conceded, invited or free: held for ten
     * seconds?
     */
    private List<Claim> causes() {
        List<Claim> claims = new ArrayList<>();
        List<Evidence.Visit> ahead = q.evidence().visits((place, role) -> role == Role.HOLDER).stream()
                .filter(p -> !p.span().leftTruncated()
                        && cause(p) != null
                        && (p.ms() >= HELD_MS || !p.span().censored()))
                .toList();
        for (Cause c : Cause.values()) {
            List<Trial> with = new ArrayList<>();
            List<Trial> without = new ArrayList<>();
            for (Evidence.Visit p : ahead) {
                (cause(p) == c ? with : without).add(p.trial(p.ms() >= HELD_MS));
            }
            if (with.size() >= EACH && without.size() >= EACH) {
                claims.add(q.difference(
                        "matters.cause." + c.code(),
                        Claim.Topic.MATTER,
                        "matters.caused",
                        q.words(CoreWords.code(c.code())),
                        with,
                        without,
                        BetaPrior.jeffreys(),
                        Clustering.DEFAULT_RHO));
            }
        }
        return clearFirst(claims);
    }

    private static @Nullable Cause cause(Evidence.Visit p) {
        return p.seen().record().tags().get(p.span().tag()) instanceof Tag.Position t ? t.cause() : null;
    }
}
