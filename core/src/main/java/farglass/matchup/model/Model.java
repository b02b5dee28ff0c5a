package farglass.matchup.model;

import farglass.rules.Ruleset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A match as places and ways out of them, with what each earns. Everything is seen by our athlete: points and
 * advantages are ours minus theirs.
 */
public final class Model {
    /** Where a branch ends when it is no place. */
    public static final int WON = -1;

    public static final int LOST = -2;
    /** Chances below this are left out. */
    private static final double LEAST = 1e-4;

    /**
     * One outcome of an attempt.
     *
     * @param chance given the attempt
     * @param to index of the place reached, {@link #WON} or {@link #LOST}
     * @param points early and late (where points count from some time on)
     * @param advantages early and late
     * @param success whether it belongs to the attempt having worked
     */
    public record Branch(double chance, int to, int[] points, int[] advantages, boolean success) {}

    /**
     * A way out with its outcomes; what is left of the chance changes nothing.
     *
     * @param down whether it leads from a paying pin to a lesser one: never a choice
     */
    public record Way(Exit exit, Branch[] branches, boolean down) {
        /** How often it is taken, times a minute. */
        public double rate() {
            return exit.rate();
        }
    }

    private final Ruleset rules;
    private final StateSpace groups;
    private final long lengthMs;
    private final List<ModelState> places = new ArrayList<>();
    private final Map<ModelState, Integer> numbers = new HashMap<>();
    private final List<List<Way>> own = new ArrayList<>();
    private final List<List<Way>> theirs = new ArrayList<>();
    private final List<List<Way>> drift = new ArrayList<>();
    private final List<ModelState> plain;
    private final Payoffs payoffs;
    private final Tempo tempo;

    /** A match in which nothing changes with time or score. */
    public Model(
            Ruleset rules,
            long lengthMs,
            List<ModelState> plain,
            List<Exit> exits,
            StateSpace groups,
            Payoffs payoffs) {
        this(rules, lengthMs, plain, exits, groups, payoffs, Tempo.EVEN);
    }

    /**
     * @param exits ways out of plain places; already-paid copies follow from them
     * @param plain places that occur, {@link ModelState#START} first
     * @param tempo how rates change with time and score
     */
    public Model(
            Ruleset rules,
            long lengthMs,
            List<ModelState> plain,
            List<Exit> exits,
            StateSpace groups,
            Payoffs payoffs,
            Tempo tempo) {
        this.rules = rules;
        this.lengthMs = lengthMs;
        this.groups = groups;
        this.plain = List.copyOf(plain);
        this.payoffs = payoffs;
        this.tempo = tempo;
        Map<ModelState, List<Exit>> byPlace = new LinkedHashMap<>();
        exits.forEach(
                e -> byPlace.computeIfAbsent(e.from(), k -> new ArrayList<>()).add(e));
        plain.forEach(this::number);
        for (int i = 0; i < places.size(); i++) {
            ModelState here = places.get(i);
            List<Way> ours = new ArrayList<>();
            List<Way> other = new ArrayList<>();
            List<Way> nobody = new ArrayList<>();
            for (Exit e : byPlace.getOrDefault(here.paid(false), List.of())) {
                Way w = way(here, e);
                if (w.branches().length > 0) {
                    (e.technique() == null ? nobody : e.ours() ? ours : other).add(w);
                }
            }
            own.add(List.copyOf(ours));
            theirs.add(List.copyOf(other));
            drift.add(List.copyOf(nobody));
        }
    }

    private int number(ModelState p) {
        return numbers.computeIfAbsent(p, k -> {
            places.add(k);
            return places.size() - 1;
        });
    }

    private Way way(ModelState here, Exit e) {
        List<Branch> branches = new ArrayList<>();
        int sign = e.technique() == null || e.ours() ? 1 : -1;
        boolean down = false;
        if (e.finish()) {
            branches.add(new Branch(e.chance(), e.ours() ? WON : LOST, new int[2], new int[2], true));
        }
        for (ModelState seen : e.to().keySet().stream().sorted().toList()) {
            ModelState to = known(seen);
            double share = e.to().getOrDefault(seen, 0.0) * e.chance();
            if (to.equals(here.paid(false)) || share < LEAST) {
                continue;
            }
            boolean control = rules.counts()
                    && groups.controlled(here.group())
                    && groups.controlled(to.group())
                    && here.standing() == to.standing()
                    && here.standing() != 0;
            boolean falls =
                    control && groups.paying(here.group()) && groups.value(to.group()) < groups.value(here.group());
            down |= falls && e.ours() == here.standing() > 0;
            boolean paid = control && (here.paid() || falls);
            int number = number(to.paid(paid));
            Payoffs.Pay[] kept = pays(here, e, to, true, control && here.paid());
            Payoffs.Pay[] lost = pays(here, e, to, false, control && here.paid());
            boolean same = kept[0].equals(lost[0]) && kept[1].equals(lost[1]);
            branches.add(branch(share * (same ? 1 : e.held()), number, kept, sign));
            if (!same && share * (1 - e.held()) >= LEAST) {
                branches.add(branch(share * (1 - e.held()), number, lost, sign));
            }
        }
        double near = (1 - e.chance()) * e.near();
        if (near >= LEAST && rules.counts()) {
            int late = sign;
            int early = rules.pointsFrom() > 0 ? 0 : sign;
            branches.add(new Branch(near, number(here), new int[2], new int[] {early, late}, false));
        }
        return new Way(e, branches.toArray(Branch[]::new), down);
    }

    private Payoffs.Pay[] pays(ModelState here, Exit e, ModelState to, boolean held, boolean paid) {
        if (paid || !rules.counts()) {
            return new Payoffs.Pay[] {Payoffs.Pay.NOTHING, Payoffs.Pay.NOTHING};
        }
        boolean mirrored = e.technique() != null && !e.ours();
        ModelState from = mirrored ? here.mirrored() : here;
        ModelState there = mirrored ? to.mirrored() : to;
        Payoffs.Pay late = payoffs.of(from, e.technique(), there, held, true);
        return new Payoffs.Pay[] {
            rules.pointsFrom() > 0 ? payoffs.of(from, e.technique(), there, held, false) : late, late
        };
    }

    private static Branch branch(double chance, int to, Payoffs.Pay[] pay, int sign) {
        return new Branch(
                chance,
                to,
                new int[] {sign * pay[0].points(), sign * pay[1].points()},
                new int[] {sign * pay[0].advantages(), sign * pay[1].advantages()},
                true);
    }

    /** The place itself, or the most frequent one of its family. */
    private ModelState known(ModelState p) {
        if (plain.contains(p)) {
            return p;
        }
        return plain.stream()
                .filter(k -> groups.family(k).equals(groups.family(p)))
                .findFirst()
                .orElse(ModelState.START);
    }

    /** The same match when our athlete never tries some techniques; the time goes to the others. */
    public Model without(Set<String> barred) {
        return barred.isEmpty() ? this : without(e -> barred.contains(e.technique()));
    }

    /** The same match when our athlete never takes some ways out; the time goes to the others of that place. */
    public Model without(Predicate<Exit> barred) {
        List<Exit> exits = new ArrayList<>();
        for (int s = 0; s < plain.size(); s++) {
            double all = 0;
            double left = 0;
            for (Way w : own.get(s)) {
                all += w.rate();
                left += barred.test(w.exit()) ? 0 : w.rate();
            }
            for (Way w : own.get(s)) {
                if (!barred.test(w.exit())) {
                    Exit e = w.exit();
                    exits.add(e.numbers(e.rate() * all / left, e.chance(), e.source()));
                }
            }
            theirs.get(s).forEach(w -> exits.add(w.exit()));
            drift.get(s).forEach(w -> exits.add(w.exit()));
        }
        return new Model(rules, lengthMs, plain, exits, groups, payoffs, tempo);
    }

    /** With one way out changed, for what-ifs. */
    public Model with(Exit.Key key, double rate, double chance) {
        List<Exit> exits = new ArrayList<>();
        for (Exit e : exits()) {
            exits.add(e.key().equals(key) ? e.numbers(rate, chance, Exit.Source.CORRECTED) : e);
        }
        return new Model(rules, lengthMs, plain, exits, groups, payoffs, tempo);
    }

    /** The same match with other records behind its figures: what may be leant on follows from them. */
    public Model based(Function<Exit, Exit.Basis> record) {
        List<Exit> exits = exits().stream().map(e -> e.based(record.apply(e))).toList();
        return new Model(rules, lengthMs, plain, exits, groups, payoffs, tempo);
    }

    /** Ways out of plain places that lead anywhere. */
    public List<Exit> exits() {
        List<Exit> exits = new ArrayList<>();
        for (int s = 0; s < plain.size(); s++) {
            own.get(s).forEach(w -> exits.add(w.exit()));
            theirs.get(s).forEach(w -> exits.add(w.exit()));
            drift.get(s).forEach(w -> exits.add(w.exit()));
        }
        return exits;
    }

    /** Ways out of one place, the most frequent first. */
    public List<Exit> exits(ModelState p, boolean ours) {
        Integer s = numbers.get(p);
        return s == null
                ? List.of()
                : (ours ? own : theirs)
                        .get(s).stream()
                                .map(Way::exit)
                                .sorted(Comparator.comparingDouble(Exit::rate).reversed())
                                .toList();
    }

    /**
     * What an athlete may expect of a place.
     *
     * @param points earned a minute there, the athlete's own
     * @param finishes submissions a minute
     */
    public record Prospect(double points, double finishes) {}

    /** What is usual in a state: what it is worth to one of the two. */
    public Prospect prospect(ModelState p, boolean ours) {
        double points = 0;
        double finishes = 0;
        int s = indexOf(p);
        for (Way w : s < 0 ? List.<Way>of() : (ours ? own : theirs).get(s)) {
            for (Branch b : w.branches()) {
                points += w.rate() * b.chance() * b.points()[1] * (ours ? 1 : -1);
                finishes += b.to() < 0 ? w.rate() * b.chance() : 0;
            }
        }
        return new Prospect(points, finishes);
    }

    /** How long a stay in a place lasts on average, minutes; infinite where nothing leads away. */
    public double stayMinutes(ModelState p) {
        int s = indexOf(p);
        double leaving = Stream.of(own.get(s), theirs.get(s), drift.get(s))
                .flatMap(List::stream)
                .flatMapToDouble(
                        w -> Stream.of(w.branches()).filter(b -> b.to() != s).mapToDouble(b -> w.rate() * b.chance()))
                .sum();
        return 1 / leaving;
    }

    /** Under which rules. */
    public Ruleset rules() {
        return rules;
    }

    /** Which states are told apart. */
    public StateSpace groups() {
        return groups;
    }

    /** How rates change with time and score. */
    public Tempo tempo() {
        return tempo;
    }

    /** Third of the scheduled length that a match time lies in, 0 to 2. */
    public int third(long ms) {
        return Tempo.third(ms, lengthMs);
    }

    /** Scheduled length, and overtime where nothing else decides, ms. */
    public long horizonMs() {
        return lengthMs + (rules.counts() ? 0 : rules.overtimeMs());
    }

    /** From here on points count, ms. */
    public long pointsFromMs() {
        return Math.round(rules.pointsFrom() * lengthMs);
    }

    /** All places, already-paid copies among them. */
    public List<ModelState> states() {
        return java.util.Collections.unmodifiableList(places);
    }

    /** Index of a place, -1 when it does not occur. */
    public int indexOf(ModelState p) {
        return numbers.getOrDefault(p, -1);
    }

    /** Our ways out of a state, by its number. */
    public List<Way> own(int place) {
        return own.get(place);
    }

    /** The opponent's ways out of a state, by its number. */
    public List<Way> theirs(int place) {
        return theirs.get(place);
    }

    /** Ways out of a state that nobody takes on purpose. */
    public List<Way> drift(int place) {
        return drift.get(place);
    }

    /** Events a minute that change anything, at the busiest moment. */
    public double pace(int place) {
        double most = 0;
        for (int moment = 0; moment < (tempo.even() ? 1 : Tempo.MOMENTS); moment++) {
            double sum = 0;
            for (List<List<Way>> kind : List.of(own, theirs, drift)) {
                for (Way w : kind.get(place)) {
                    for (Branch b : w.branches()) {
                        sum += w.rate() * tempo.factor(w.exit(), moment) * b.chance();
                    }
                }
            }
            most = Math.max(most, sum);
        }
        return most;
    }

    /** Largest change of points or advantages in one event. */
    public int largestPay() {
        int most = 2;
        for (List<List<Way>> kind : List.of(own, theirs, drift)) {
            for (List<Way> ways : kind) {
                for (Way w : ways) {
                    for (Branch b : w.branches()) {
                        for (int i = 0; i < 2; i++) {
                            most = Math.max(most, Math.max(Math.abs(b.points()[i]), Math.abs(b.advantages()[i])));
                        }
                    }
                }
            }
        }
        return most;
    }
}
