package farglass.profile;

import static java.util.Objects.requireNonNull;

import farglass.match.Role;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Change;
import farglass.stats.ClusteredShares;
import farglass.stats.FalseDiscovery;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.text.CoreWords;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Has the game changed? Entries by year, early against late, and what came before every new branch. */
final class ThenAndNowPage {
    private static final int MATCHES = 2;
    private static final int ROWS = 14;
    /** What has hardly moved is not listed. */
    private static final double LIKELY = 0.5;

    /** Occurrences then, now and of the technique itself from which on it is asked whether a change is chance. */
    private static final int OCCURRENCES = 6;
    /** Of all changes that are called more than chance, so many may be chance. */
    private static final double RATE = 0.10;

    private final ClaimFactory q;
    /** By claim, the chance that so much would move if nothing had changed. */
    private final Map<String, Double> compared = new LinkedHashMap<>();

    private final @Nullable LocalDate line;

    private ThenAndNowPage(ClaimFactory q) {
        this.q = q;
        this.line = line(q.evidence());
    }

    static ClaimPage of(ClaimFactory q) {
        return new ThenAndNowPage(q).page();
    }

    /** The median date; matches of that day are late. Null with fewer than two dated matches on each side. */
    private static @Nullable LocalDate line(Evidence evidence) {
        List<LocalDate> dates = evidence.matches().stream()
                .map(s -> s.record().details().date())
                .filter(Objects::nonNull)
                .sorted()
                .toList();
        if (dates.size() < 2 * MATCHES) {
            return null;
        }
        LocalDate middle = dates.get(dates.size() / 2);
        boolean enough = dates.stream().filter(d -> d.isBefore(middle)).count() >= MATCHES;
        return enough ? middle : null;
    }

    private ClaimPage page() {
        List<Claim> changed = new ArrayList<>();
        List<Claim> fresh = new ArrayList<>();
        if (line != null) {
            q.evidence().own(a -> true).stream()
                    .map(Evidence.Act::family)
                    .filter(f -> !f.equals("grip") && !f.equals("feint"))
                    .distinct()
                    .sorted()
                    .forEach(family -> used(family, changed));
            worked(changed);
            newBranches(fresh);
            sure(changed);
            changed.sort(Comparator.comparingDouble(
                            (Claim c) -> Math.abs(c.estimate().mean()))
                    .reversed());
        }
        return new ClaimPage(
                Question.THEN_AND_NOW,
                List.of(
                        years(),
                        new Section(
                                "change.moved",
                                q.words(line == null ? "-" : line.toString()),
                                changed,
                                null,
                                "change.moved.empty"),
                        Section.of("change.new", fresh)));
    }

    /** Entries into places and techniques tried, by year. */
    private Section years() {
        TreeSet<Integer> years = new TreeSet<>();
        Map<String, Map<Integer, List<Trial>>> rows = new TreeMap<>();
        for (Evidence.Visit p : q.evidence().visits((place, role) -> role == Role.GUARD || role == Role.HOLDER)) {
            count(
                    rows,
                    years,
                    p.seen(),
                    q.lexicon().positionName(p.span().place()) + (p.role() == Role.GUARD ? "" : " \u2191"),
                    p.trial(true));
        }
        for (Evidence.Act a : q.evidence().own(x -> PositionGroups.ATTACKS.contains(x.family()))) {
            count(rows, years, a.seen(), q.lexicon().techniqueName(a.action().technique()), a.trial());
        }
        Section section = Section.of("change.years", List.of());
        if (years.isEmpty()) {
            return section;
        }
        List<Integer> order = List.copyOf(years);
        List<Figure.Years.Row> figure = new ArrayList<>();
        rows.forEach((name, byYear) -> figure.add(new Figure.Years.Row(
                name, order.stream().map(y -> byYear.getOrDefault(y, List.of())).toList())));
        figure.sort(Comparator.comparingInt((Figure.Years.Row r) ->
                        r.trials().stream().mapToInt(List::size).sum())
                .reversed()
                .thenComparing(Figure.Years.Row::name));
        return section.with(new Figure.Years(order, figure.subList(0, Math.min(ROWS, figure.size()))));
    }

    private static void count(
            Map<String, Map<Integer, List<Trial>>> rows,
            Set<Integer> years,
            Evidence.Seen seen,
            @Nullable String name,
            Trial trial) {
        LocalDate date = seen.record().details().date();
        if (date != null) {
            years.add(date.getYear());
            rows.computeIfAbsent(name, k -> new TreeMap<>())
                    .computeIfAbsent(date.getYear(), k -> new ArrayList<>())
                    .add(trial);
        }
    }

    private boolean late(Evidence.Seen s) {
        LocalDate date = s.record().details().date();
        return date != null && !date.isBefore(line);
    }

    private boolean early(Evidence.Seen s) {
        LocalDate date = s.record().details().date();
        return date != null && date.isBefore(line);
    }

    /** How the choice within a family moved. */
    private void used(String family, List<Claim> claims) {
        List<Evidence.Act> acts = q.evidence().ownOf(family);
        acts.stream().map(a -> a.action().technique()).distinct().sorted().forEach(code -> {
            List<Trial> then = new ArrayList<>();
            List<Trial> now = new ArrayList<>();
            for (Evidence.Act a : acts) {
                Trial t = a.trial(a.action().technique().equals(code));
                if (early(a.seen())) {
                    then.add(t);
                } else if (late(a.seen())) {
                    now.add(t);
                }
            }
            change("changed.use." + code, "change.use", code, then, now, BetaPrior.jeffreys(), claims);
        });
    }

    /** Whether there is so much that a change could be told from chance at all. */
    private static boolean enough(List<Trial> then, List<Trial> now) {
        long worked =
                Stream.concat(then.stream(), now.stream()).filter(Trial::worked).count();
        return Math.min(then.size(), now.size()) >= OCCURRENCES && worked >= OCCURRENCES;
    }

    /** By match: what is done in one match is done there for reasons of its own. */
    private static Collection<ClusteredShares.Counts> byMatch(List<Trial> trials) {
        Map<String, int[]> counts = new TreeMap<>();
        for (Trial t : trials) {
            int[] n = counts.computeIfAbsent(t.tag().match(), k -> new int[2]);
            n[0] += t.worked() ? 1 : 0;
            n[1]++;
        }
        return counts.values().stream()
                .map(n -> new ClusteredShares.Counts(n[0], n[1]))
                .toList();
    }

    /** Marks what changed by more than chance, at a false discovery rate of 10 % over all that was compared. */
    private void sure(List<Claim> claims) {
        List<String> ids = List.copyOf(compared.keySet());
        double[] adjusted = FalseDiscovery.adjusted(
                compared.values().stream().mapToDouble(p -> p).toArray());
        claims.replaceAll(
                c -> ids.contains(c.id()) && adjusted[ids.indexOf(c.id())] <= RATE ? c.noted(SequenceClaims.BADGE) : c);
    }

    private void worked(List<Claim> claims) {
        Techniques.byTechnique(q, a -> a.decided() && PositionGroups.ATTACKS.contains(a.family()))
                .forEach((code, acts) -> change(
                        "changed.works." + code,
                        "change.works",
                        code,
                        acts.stream()
                                .filter(a -> early(a.seen()))
                                .map(Evidence.Act::trial)
                                .toList(),
                        acts.stream()
                                .filter(a -> late(a.seen()))
                                .map(Evidence.Act::trial)
                                .toList(),
                        q.success(code),
                        claims));
    }

    private void change(
            String id,
            String template,
            String code,
            List<Trial> then,
            List<Trial> now,
            BetaPrior prior,
            List<Claim> claims) {
        if (then.size() < Techniques.ATTEMPTS || now.size() < Techniques.ATTEMPTS) {
            return;
        }
        String family = q.lexicon().familyOf(code);
        if (enough(then, now)) {
            compared.put(id, ClusteredShares.p(byMatch(then), byMatch(now)));
        }
        double moved = Change.moved(then, now, prior, q.rho(family), LIKELY);
        if (moved < LIKELY) {
            return;
        }
        claims.add(q.difference(
                id,
                Claim.Topic.CHANGE,
                template,
                q.words(q.lexicon().techniqueName(code), ClaimWriter.percent(moved)),
                now,
                then,
                prior,
                q.rho(family)));
    }

    /** Techniques first seen after the line, with what had met the attack most tried before it. */
    private void newBranches(List<Claim> claims) {
        Techniques.byTechnique(q, a -> PositionGroups.ATTACKS.contains(a.family()))
                .forEach((code, acts) -> {
                    boolean old = acts.stream().anyMatch(a -> !late(a.seen()));
                    if (old || acts.size() < MATCHES) {
                        return;
                    }
                    claims.add(q.plain(
                            "new." + code,
                            Claim.Topic.CHANGE,
                            "change.branch",
                            q.words(
                                    q.lexicon().techniqueName(code),
                                    requireNonNull(acts.get(0)
                                                    .seen()
                                                    .record()
                                                    .details()
                                                    .date())
                                            .toString(),
                                    before(acts.get(0))),
                            acts.stream().map(Evidence.Act::trial).toList()));
                });
    }

    /** The opponents' commonest answer to failed attempts of the family before this one. */
    private String before(Evidence.Act first) {
        Map<String, Integer> met = new LinkedHashMap<>();
        for (Evidence.Act a : q.evidence().ownOf(first.family())) {
            if (a.seen() == first.seen() && a.index() >= first.index()) {
                break;
            }
            Tag.Action action = a.action();
            if (a.decided() && !action.completed() && action.answer() != null) {
                met.merge(
                        q.lexicon().techniqueName(action.technique()) + ": " + CoreWords.code(action.answer()),
                        1,
                        Integer::sum);
            }
        }
        return met.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(e -> e.getKey() + " (" + e.getValue() + ")")
                .orElse("-");
    }
}
