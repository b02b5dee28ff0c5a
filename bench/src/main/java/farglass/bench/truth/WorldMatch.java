package farglass.bench.truth;

import farglass.bench.truth.World.Athlete;
import farglass.bench.truth.World.Move;
import farglass.bench.truth.World.Row;
import farglass.bench.truth.World.Spot;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.random.RandomGenerator;

/** Plays one match of a world, event by event, and writes it as an analyst would tag it. */
final class WorldMatch {
    private static final double MINUTE_MS = 60_000;
    private static final long LENGTH_MS = 360_000;
    /** How long an attempt takes, ms. */
    private static final int ATTEMPT_MS = 900;

    private final World world;
    private final Athlete[] athletes;
    private final String ruleset;
    private final RandomGenerator rng;
    private final Policy policy;
    private final List<Tag> tags = new ArrayList<>();
    private String place = "STD";
    private Corner holder;
    private Corner guard;
    private long now;
    private boolean over;

    /** What still comes of a planted sequence. */
    private final Deque<String> due = new ArrayDeque<>();

    private Corner dueBy;

    /** How much more often one does something than usual: 1 everywhere for the natural game. */
    interface Policy {
        double factor(Corner who, Spot spot, Move move, long ms);
    }

    WorldMatch(World world, Athlete a, Athlete b, String ruleset, Policy policy, RandomGenerator rng) {
        this.world = world;
        this.athletes = new Athlete[] {a, b};
        this.ruleset = ruleset;
        this.policy = policy;
        this.rng = rng;
    }

    MatchRecord play(String id, LocalDate day) {
        add(new Tag.Start(MatchTime.ZERO, TagInfo.NONE));
        position(0);
        while (!over) {
            step();
        }
        add(new Tag.End(MatchTime.ofMs(Math.min(now, LENGTH_MS)), TagInfo.NONE));
        MatchRecord.Details d =
                new MatchRecord.Details(day, "Event", null, null, "gi", ruleset, LENGTH_MS, who(0), who(1), null);
        return MatchRecord.of(id, d, List.of(), tags);
    }

    private MatchAthlete who(int i) {
        return MatchAthlete.of(athletes[i].id(), athletes[i].id(), null, null);
    }

    private void add(Tag t) {
        tags.add(t.with(TagInfo.withId("t" + (tags.size() + 1))));
    }

    private Athlete of(Corner c) {
        return athletes[c == Corner.A ? 0 : 1];
    }

    private Spot spot(Corner c) {
        return new Spot(place, World.standing(c, holder, guard));
    }

    private void position(long at) {
        add(Tag.Position.of(MatchTime.ofMs(at), place, holder, guard));
    }

    private void step() {
        if (!due.isEmpty()) {
            String next = due.removeFirst();
            Move m = of(dueBy).moves().getOrDefault(spot(dueBy), List.of()).stream()
                    .filter(x -> x.technique().code().equals(next))
                    .findFirst()
                    .orElse(null);
            now += 800 + rng.nextInt(1200);
            if (m != null && now < LENGTH_MS) {
                attempt(dueBy, m);
                return;
            }
            due.clear();
        }
        double total = 0;
        List<Double> until = new ArrayList<>();
        List<Move> moves = new ArrayList<>();
        List<Corner> by = new ArrayList<>();
        for (Corner c : Corner.values()) {
            for (Move m : of(c).moves().getOrDefault(spot(c), List.of())) {
                total += m.rate() * policy.factor(c, spot(c), m, now);
                until.add(total);
                moves.add(m);
                by.add(c);
            }
        }
        if (total <= 0) {
            // nobody has anything to do here: they are stood up
            now += 5000;
            place = "STD";
            holder = null;
            guard = null;
            over = now >= LENGTH_MS;
            if (!over) {
                position(now);
            }
            return;
        }
        now += Math.max(1, Math.round(-Math.log(1 - rng.nextDouble()) / total * MINUTE_MS));
        if (now >= LENGTH_MS) {
            now = LENGTH_MS;
            over = true;
            return;
        }
        double pick = rng.nextDouble() * total;
        int i = 0;
        while (until.get(i) <= pick) {
            i++;
        }
        Corner c = by.get(i);
        Spot where = spot(c);
        attempt(c, moves.get(i));
        for (Row row : of(c).rows()) {
            boolean begins = !over
                    && spot(c).equals(where)
                    && row.where().equals(where)
                    && row.techniques().get(0).equals(moves.get(i).technique().code());
            if (begins && rng.nextDouble() < row.chance()) {
                due.addAll(row.techniques().subList(1, row.techniques().size()));
                dueBy = c;
            }
        }
    }

    private void attempt(Corner c, Move m) {
        String family = m.technique().family();
        double odds = m.odds() - of(c.other()).defence().getOrDefault(family, 0.0);
        boolean works = rng.nextDouble() < 1 / (1 + Math.exp(-odds));
        long begun = now;
        now += ATTEMPT_MS;
        MatchTime end = MatchTime.ofMs(Math.min(now, LENGTH_MS));
        if (now >= LENGTH_MS) {
            works = false;
        }
        int level = works ? 4 : 1 + rng.nextInt(3);
        Tag.Action a = Tag.Action.of(MatchTime.ofMs(begun), c, m.technique().code())
                .result(
                        works ? Outcome.COMPLETED : level == 3 ? Outcome.NEAR : Outcome.STUFFED,
                        level,
                        works ? goal(m) : null,
                        end);
        if (m.technique().sided()) {
            a = a.sided(rng.nextDouble() < of(c).right().getOrDefault(family, 0.5) ? Side.RIGHT : Side.LEFT);
        }
        add(a);
        if (works) {
            due.clear();
            if (family.equals("submission")) {
                over = true;
                return;
            }
            land(c, family, m.target());
            position(now);
        }
    }

    private static String goal(Move m) {
        return m.target().equals("LCK") ? null : m.target();
    }

    private void land(Corner c, String family, String target) {
        place = target;
        boolean isGuard = world.place(target).guard();
        boolean top = !family.equals("guard-pull") && !family.equals("escape") && !family.equals("recovery");
        if (target.equals("STD")) {
            holder = null;
            guard = null;
        } else if (isGuard) {
            guard = top ? c.other() : c;
            holder = guard.other();
        } else {
            guard = null;
            holder = top ? c : c.other();
        }
    }
}
