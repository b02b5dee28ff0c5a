package farglass.matchup.gameplan;

import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Simulator;
import farglass.stats.TagRef;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a match goes under the plan, drawn in phases: how it starts, where the two come into contact, what follows from
 * there, how it ends. Counted in matches that are played in the model. Only what is frequent is drawn.
 *
 * @param matches that were played
 * @param boxes at most twelve, by phase and from top to bottom
 * @param links between boxes of neighbouring phases
 */
public record PhaseFigure(int matches, List<Box> boxes, List<Link> links) {
    private static final int MATCHES = 4000;
    private static final long SEED = 1;

    public PhaseFigure {
        boxes = List.copyOf(boxes);
        links = List.copyOf(links);
    }

    /** From left to right. */
    public enum Phase {
        START,
        CONTACT,
        ANSWER,
        FINISH
    }

    /** Who acts, is on top, or wins. */
    public enum Whose {
        OURS,
        NOBODY,
        THEIRS
    }

    /**
     * What a box stands for.
     *
     * @param what code: of a family of techniques at the start, of a place in contact, of a technique in an answer;
     * empty when nobody's attempt led on, and for a finish
     */
    public record Key(Phase phase, Whose whose, String what) {}

    /**
     * One box.
     *
     * @param share of all matches that come by it, 0..1
     * @param submissions of all matches, the share that it ends by submission; only of a finish
     * @param then where a match mostly is with it; null for a finish
     * @param minutes since the start, on average
     * @param lead points ours minus theirs, on average
     * @param tags it rests on
     */
    public record Box(
            Key key,
            double share,
            double submissions,
            @Nullable ModelState then,
            double minutes,
            int lead,
            List<TagRef> tags) {
        public Box {
            tags = List.copyOf(tags);
        }
    }

    /** @param share of all matches that go from the one to the other, 0..1 */
    public record Link(Key from, Key to, double share) {}

    /** The drawing of a solved match-up; takes some hundredths of a second. */
    public static PhaseFigure of(MeetingSolution solved) {
        PhaseCount count = new PhaseCount();
        new Simulator(solved.planned().programme(), solved.planned().policy()).follow(MATCHES, SEED, count);
        return count.figure(MATCHES);
    }

    /** The boxes of a phase, from top to bottom. */
    public List<Box> boxes(Phase phase) {
        return boxes.stream().filter(b -> b.key().phase() == phase).toList();
    }

    /** The box of a key; empty when it is not drawn. */
    public Optional<Box> box(Key key) {
        return boxes.stream().filter(b -> b.key().equals(key)).findFirst();
    }

    /** Of all matches, the share that a phase's boxes show. */
    public double shown(Phase phase) {
        return boxes(phase).stream().mapToDouble(Box::share).sum();
    }
}
