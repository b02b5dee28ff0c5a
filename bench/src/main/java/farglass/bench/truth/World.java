package farglass.bench.truth;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/**
 * Athletes whose game is drawn at random and follows its places and nothing else: in every place and role each has
 * moves with rates of their own, and what is done next depends only on where they are.
 */
final class World {
    /** Where matches of this world take place; a share of the lexicon's places, drawn for every world. */
    private static final List<String> GUARDS =
            List.of("CLG", "HFG", "DLR", "BTF", "SLX", "OPN", "KNS", "SIT", "RDL", "DHG");

    private static final List<String> TOPS = List.of("SDC", "MNT", "BCK", "TRT", "KOB", "NSC");
    private static final int GUARDS_USED = 5;
    private static final int TOPS_USED = 5;
    /** Attempts a minute of one athlete by family where he is. */
    private static final Map<String, Double> RATES = Map.of(
            "takedown",
            1.1,
            "guard-pull",
            0.35,
            "sweep",
            1.3,
            "pass",
            1.5,
            "pin-advance",
            0.9,
            "back-take",
            0.5,
            "submission",
            0.9,
            "escape",
            1.6,
            "recovery",
            0.8,
            "stand-up",
            0.25);

    private static final Map<String, Double> ODDS = Map.of(
            "takedown",
            -0.4,
            "guard-pull",
            2.0,
            "sweep",
            -0.6,
            "pass",
            -0.7,
            "pin-advance",
            0.2,
            "back-take",
            -0.3,
            "submission",
            -2.2,
            "escape",
            -0.5,
            "recovery",
            -0.2,
            "stand-up",
            0.5);

    final Lexicon lexicon = Lexicon.builtIn();
    final List<Athlete> athletes = new ArrayList<>();
    final List<String> guards;
    final List<String> tops;

    /**
     * One thing an athlete does in a place.
     *
     * @param rate attempts a minute
     * @param odds log odds that it works against somebody usual
     */
    record Move(Technique technique, double rate, double odds, String target) {}

    /** Where an athlete is: guard, holder, under or neutral. */
    record Spot(String place, Standing standing) {}

    enum Standing {
        NEUTRAL,
        GUARD,
        TOP,
        HOLDER,
        UNDER
    }

    /**
     * @param moves by place and standing
     * @param defence taken from the other's log odds, by family
     * @param right chance that a family's attempts begin to the right
     * @param rows what is always tried after what, with its chance: planted sequences; empty in a world without memory
     */
    record Athlete(
            String id,
            Map<Spot, List<Move>> moves,
            Map<String, Double> defence,
            Map<String, Double> right,
            List<Row> rows) {}

    /** A planted sequence: in a place, what was tried is followed by the next within seconds. */
    record Row(Spot where, List<String> techniques, double chance) {}

    World(int count, RandomGenerator rng) {
        guards = some(GUARDS, GUARDS_USED, rng);
        tops = new ArrayList<>(some(TOPS, TOPS_USED, rng));
        if (!tops.contains("SDC")) {
            tops.set(0, "SDC");
        }
        for (int i = 0; i < count; i++) {
            athletes.add(athlete("athlete-" + (char) ('a' + i), rng));
        }
    }

    private static List<String> some(List<String> all, int n, RandomGenerator rng) {
        List<String> left = new ArrayList<>(all);
        while (left.size() > n) {
            left.remove(rng.nextInt(left.size()));
        }
        return left;
    }

    private Athlete athlete(String id, RandomGenerator rng) {
        Map<Spot, List<Move>> moves = new LinkedHashMap<>();
        Map<String, Double> level = new LinkedHashMap<>();
        Map<String, Double> busy = new LinkedHashMap<>();
        Map<String, Double> defence = new LinkedHashMap<>();
        Map<String, Double> right = new LinkedHashMap<>();
        for (String f : RATES.keySet().stream().sorted().toList()) {
            level.put(f, 0.6 * rng.nextGaussian());
            busy.put(f, Math.exp(0.4 * rng.nextGaussian()));
            defence.put(f, 0.5 * rng.nextGaussian());
            right.put(f, 0.15 + 0.7 * rng.nextDouble());
        }
        for (Spot spot : spots()) {
            List<Move> here = new ArrayList<>();
            Map<String, List<Technique>> byFamily = new LinkedHashMap<>();
            for (Technique t : lexicon.techniques()) {
                if (RATES.containsKey(t.family()) && t.from().contains(spot.place()) && may(t, spot)) {
                    byFamily.computeIfAbsent(t.family(), k -> new ArrayList<>()).add(t);
                }
            }
            byFamily.forEach((family, all) -> {
                List<Technique> own = all.size() > 3 ? pick(all, 2 + rng.nextInt(2), rng) : all;
                double[] share = new double[own.size()];
                double sum = 0;
                for (int i = 0; i < share.length; i++) {
                    share[i] = -Math.log(rng.nextDouble());
                    sum += share[i];
                }
                for (int i = 0; i < share.length; i++) {
                    String target = target(own.get(i), spot, rng);
                    double rate =
                            RATES.get(family) * busy.get(family) * share[i] / sum * Math.exp(0.3 * rng.nextGaussian());
                    if (target != null && rate > 0.02) {
                        double odds = ODDS.get(family) + level.get(family) + 0.5 * rng.nextGaussian();
                        here.add(new Move(own.get(i), rate, odds, target));
                    }
                }
            });
            moves.put(spot, here);
        }
        return new Athlete(id, moves, defence, right, new ArrayList<>());
    }

    private static List<Technique> pick(List<Technique> all, int n, RandomGenerator rng) {
        List<Technique> left = new ArrayList<>(all);
        while (left.size() > n) {
            left.remove(rng.nextInt(left.size()));
        }
        return left;
    }

    private List<Spot> spots() {
        List<Spot> spots = new ArrayList<>(List.of(new Spot("STD", Standing.NEUTRAL)));
        guards.forEach(g -> spots.addAll(List.of(new Spot(g, Standing.GUARD), new Spot(g, Standing.TOP))));
        tops.forEach(p -> spots.addAll(List.of(new Spot(p, Standing.HOLDER), new Spot(p, Standing.UNDER))));
        return spots;
    }

    private static boolean may(Technique t, Spot s) {
        boolean ahead = s.standing() == Standing.HOLDER || s.standing() == Standing.TOP;
        boolean guard = s.standing() == Standing.GUARD;
        return t.performer(s.place()).allows(ahead, guard, s.standing() != Standing.NEUTRAL);
    }

    /** Where it leads in this world; null where it leads nowhere that is in it. */
    private String target(Technique t, Spot from, RandomGenerator rng) {
        List<String> to = t.to().stream()
                .filter(p -> p.equals("LCK") || p.equals("STD") || guards.contains(p) || tops.contains(p))
                .filter(p -> !p.equals(from.place()) || t.family().equals("sweep"))
                .toList();
        if (!to.isEmpty()) {
            return to.get(rng.nextInt(to.size()));
        }
        return switch (t.family()) {
            case "takedown", "sweep", "guard-pull", "escape", "recovery" -> guards.get(rng.nextInt(guards.size()));
            case "pass" -> "SDC";
            case "back-take" -> tops.contains("BCK") ? "BCK" : null;
            case "stand-up" -> "STD";
            default -> null;
        };
    }

    /** Who stands how where a move leads to. */
    Position place(String code) {
        return lexicon.position(code).orElseThrow();
    }

    /** The standing of one athlete, given who is ahead and who plays guard. */
    static Standing standing(Corner who, Corner holder, Corner guard) {
        if (guard == who) {
            return Standing.GUARD;
        }
        if (guard == who.other()) {
            return Standing.TOP;
        }
        return holder == null ? Standing.NEUTRAL : holder == who ? Standing.HOLDER : Standing.UNDER;
    }
}
