package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Solution;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What to do when the match does not go as planned: the opening does not work today, or the clock runs out at a bad or
 * a good score.
 *
 * @param opening what is pressed or fixed at the start, else what is likeliest to work there; null where there is
 * nothing of ours
 * @param behind what to do late and behind, by how much it brings
 * @param ahead what to do late and ahead
 */
public record Alternatives(@Nullable Opening opening, Late behind, Late ahead) {
    /** Match time left that counts as late. */
    public static final long LATE_MS = 120_000;

    private static final int TOLD = 8;
    private static final double LEAST_MINUTES = 0.03;

    /**
     * @param technique of ours that the plan begins with
     * @param place where it is begun
     * @param win with it, and without it when something else is done instead
     * @param instead what is then done there
     */
    public record Opening(String technique, ModelState place, double win, double without, Option instead) {}

    /** @param points our lead at that time, negative when behind */
    public record Late(int points, List<Line> lines) {
        public Late {
            lines = List.copyOf(lines);
        }
    }

    /**
     * @param win chance from there under the plan
     * @param natural chance from there when everybody keeps to his natural mix
     */
    public record Line(ModelState place, Option option, double win, double natural) {}

    /** Solves the match once more without the opening; takes as long as a what-if. */
    public static Alternatives of(MeetingSolution solved) {
        int lead = 2;
        return new Alternatives(opening(solved), late(solved, -lead), late(solved, lead));
    }

    private static @Nullable Opening opening(MeetingSolution solved) {
        Model m = solved.planned().programme().model();
        ModelState place = ModelState.START;
        Option first = solved.planned().option(place, 0, 0, 0);
        String technique = first.technique() != null
                ? first.technique()
                : m.exits(place, true).stream()
                        .max(Comparator.comparingDouble(e -> e.rate() * e.chance()))
                        .map(Exit::technique)
                        .orElse(null);
        if (technique == null) {
            return null;
        }
        Meeting meeting = solved.meeting();
        Constraints w = meeting.question().wishes();
        Set<String> barred = new LinkedHashSet<>(w.barred());
        barred.add(technique);
        MeetingSolution.Glance without = meeting.under(
                        meeting.question().settings().coarse(),
                        new Constraints(barred, w.allowed(), w.fixed(), w.corrections()))
                .glance();
        return new Opening(
                technique,
                place,
                solved.planned().win(),
                without.planned().win(),
                without.planned().option(place, 0, 0, 0));
    }

    private static Late late(MeetingSolution solved, int points) {
        Solution s = solved.planned();
        Model m = s.programme().model();
        long ms = Math.max(0, m.horizonMs() - LATE_MS);
        // where nothing is ever scored there is neither ahead nor behind
        if (!m.rules().counts()) {
            return new Late(0, List.of());
        }
        List<Line> lines = m.states().stream()
                .filter(p -> !p.paid() && solved.flow().minutes(p) >= LEAST_MINUTES)
                .map(p -> new Line(
                        p,
                        s.option(p, ms, points, 0),
                        s.win(p, ms, points, 0),
                        solved.natural().win(p, ms, points, 0)))
                .sorted(Comparator.comparingDouble((Line l) -> -solved.flow().minutes(l.place())))
                .limit(TOLD)
                .toList();
        return new Late(points, lines);
    }
}
