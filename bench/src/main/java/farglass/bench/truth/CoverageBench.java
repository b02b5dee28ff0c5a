package farglass.bench.truth;

import farglass.bench.truth.World.Athlete;
import farglass.match.MatchRecord;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.Profile;
import farglass.tendency.Filter;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * How often a 90 % interval holds the truth. The truth of a number is what it comes to over thousands of matches of the
 * same athlete against the same opponents.
 */
public final class CoverageBench {
    private static final int TRUTH_MATCHES = 3000;
    /** So many cases must have been counted for a number to be called true. */
    private static final int TRUE_CASES = 400;

    private static final int[] SIZES = {20, 60, 200};
    private static final int[] ATHLETES = {2, 12};
    private static final LocalDate DAY = LocalDate.of(2030, 1, 1);

    private CoverageBench() {}

    /** @param worlds how many, drawn anew for every number of athletes */
    public static void start(int worlds) {
        Map<String, int[]> held = new TreeMap<>();
        for (int count : ATHLETES) {
            for (int w = 0; w < worlds; w++) {
                World world = new World(count, new Random(1000L * count + w));
                Map<String, Claim> truth = claims(matches(world, true, TRUTH_MATCHES, 7 + w), world);
                for (int size : SIZES) {
                    Map<String, Claim> seen = claims(matches(world, false, size, 99 + w), world);
                    String run = count + " athletes, " + size + " matches";
                    seen.forEach((id, c) -> judge(held, run, c, truth.get(id)));
                }
            }
        }
        held.forEach(
                (kind, n) -> System.out.printf(Locale.ROOT, "%-60s %6.3f of %d%n", kind, n[0] / (double) n[1], n[1]));
    }

    private static void judge(Map<String, int[]> held, String run, Claim c, Claim truth) {
        boolean never = c.topic() == Claim.Topic.NOT_SEEN || c.unit() == Claim.Unit.TIMES_EXPECTED;
        if (truth == null
                || never
                || truth.topic() == Claim.Topic.NOT_SEEN
                || c.estimate().n() == 0) {
            return;
        }
        if (truth.trials().size() < TRUE_CASES || Double.isNaN(truth.estimate().raw())) {
            return;
        }
        double x = truth.estimate().raw();
        boolean in = x >= c.estimate().lo() - 1e-9 && x <= c.estimate().hi() + 1e-9;
        String stem = c.id().replaceAll("\\..*", "");
        for (String kind : List.of(c.unit() + " | " + run, c.unit() + " " + stem + " | " + run)) {
            int[] n = held.computeIfAbsent(kind, k -> new int[2]);
            n[0] += in ? 1 : 0;
            n[1]++;
        }
    }

    static Map<String, Claim> claims(List<MatchRecord> records, World world) {
        Profile p = Profile.of(records, world.athletes.get(0).id(), Filter.ALL, world.lexicon, 1);
        Map<String, Claim> claims = new LinkedHashMap<>();
        for (ClaimPage page : p.pages().values()) {
            page.claims().forEach(c -> claims.putIfAbsent(c.id(), c));
        }
        return claims;
    }

    /** @param firstOnly only matches of the first athlete; else everybody has as many */
    static List<MatchRecord> matches(World world, boolean firstOnly, int each, long seed) {
        Random rng = new Random(seed);
        List<MatchRecord> all = new ArrayList<>();
        List<Athlete> who = world.athletes;
        for (int i = 0; i < who.size(); i++) {
            for (int j = i + 1; j < who.size(); j++) {
                int meetings = Math.max(1, Math.round(each / (who.size() - 1f)));
                for (int k = 0; k < meetings && (!firstOnly || i == 0); k++) {
                    boolean turned = rng.nextBoolean();
                    Athlete a = who.get(turned ? j : i);
                    Athlete b = who.get(turned ? i : j);
                    String id = "m-" + i + "-" + j + "-" + k;
                    all.add(new WorldMatch(world, a, b, "points-gi", (c, s, m, ms) -> 1, rng)
                            .play(id, DAY.plusDays(all.size() % 700)));
                }
            }
        }
        return all;
    }
}
