package farglass.matchup.gameplan;

import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Link;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import farglass.matchup.gameplan.PhaseFigure.Whose;
import farglass.matchup.model.Ending;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Simulator;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Counts by which phases played matches go. */
final class PhaseCount implements Simulator.Follower {
    /** Boxes at most. */
    private static final int ALL = 12;
    /** Ways to start, and to end. Answers get what is left. */
    private static final int EACH = 3;

    private static final int PLACES = 4;

    /** Of all matches, what a box or a way between two must show to be drawn. */
    private static final double LEAST = 0.02;

    private final Map<PhaseFigure.Key, Tally> tallies = new LinkedHashMap<>();
    private final Map<List<PhaseFigure.Key>, Integer> ways = new LinkedHashMap<>();
    private final Map<Phase, PhaseFigure.Key> now = new EnumMap<>(Phase.class);
    private @Nullable ModelState contact;

    /** What is known of a box so far. */
    private static final class Tally {
        private int matches;
        private int submissions;
        private double minutes;
        private double lead;
        private final Map<ModelState, Integer> then = new HashMap<>();
        private final Set<Exit> by = new LinkedHashSet<>();

        Box box(PhaseFigure.Key key, int all) {
            Set<TagRef> tags = new LinkedHashSet<>();
            by.forEach(e -> tags.addAll(e.basis().tags()));
            return new Box(
                    key,
                    matches / (double) all,
                    submissions / (double) all,
                    then.entrySet().stream()
                            .max(Map.Entry.<ModelState, Integer>comparingByValue()
                                    .thenComparing(Map.Entry::getKey))
                            .map(Map.Entry::getKey)
                            .orElse(null),
                    minutes / matches,
                    (int) Math.round(lead / matches),
                    List.copyOf(tags));
        }
    }

    @Override
    public void moved(Exit by, ModelState to, double minutes, int lead) {
        ModelState place = to.paid(false);
        if (contact == null) {
            if (place.standing() == 0) {
                return;
            }
            contact = place;
            note(Phase.START, key(Phase.START, by, by.family()), by, place, minutes, lead);
            PhaseFigure.Key where =
                    new PhaseFigure.Key(Phase.CONTACT, place.standing() > 0 ? Whose.OURS : Whose.THEIRS, place.key());
            note(Phase.CONTACT, where, by, place, minutes, lead);
        } else if (!now.containsKey(Phase.ANSWER) && !place.equals(contact)) {
            answered(by, place, minutes, lead);
        }
    }

    private void answered(Exit by, @Nullable ModelState place, double minutes, int lead) {
        PhaseFigure.Key key = key(Phase.ANSWER, by, Objects.requireNonNullElse(by.technique(), ""));
        note(Phase.ANSWER, key, by, place, minutes, lead);
    }

    private static PhaseFigure.Key key(Phase phase, Exit by, String what) {
        return by.technique() == null
                ? new PhaseFigure.Key(phase, Whose.NOBODY, "")
                : new PhaseFigure.Key(phase, by.ours() ? Whose.OURS : Whose.THEIRS, what);
    }

    private void note(
            Phase phase, PhaseFigure.Key key, @Nullable Exit by, @Nullable ModelState then, double minutes, int lead) {
        Tally t = tallies.computeIfAbsent(key, k -> new Tally());
        t.matches++;
        t.minutes += minutes;
        t.lead += lead;
        if (by != null) {
            t.by.add(by);
        }
        if (then != null) {
            t.then.merge(then, 1, Integer::sum);
        }
        now.put(phase, key);
    }

    @Override
    public void ended(@Nullable Exit by, Ending how, double minutes, int lead) {
        if (by != null && contact != null && !now.containsKey(Phase.ANSWER)) {
            answered(by, null, minutes, lead);
        }
        Whose won = how == Ending.DRAW ? Whose.NOBODY : how.value() > 0 ? Whose.OURS : Whose.THEIRS;
        PhaseFigure.Key key = new PhaseFigure.Key(Phase.FINISH, won, "");
        note(Phase.FINISH, key, by, null, minutes, lead);
        Objects.requireNonNull(tallies.get(key)).submissions += by == null ? 0 : 1;
        PhaseFigure.Key from = null;
        for (Phase p : Phase.values()) {
            PhaseFigure.Key to = now.get(p);
            if (from != null && to != null) {
                ways.merge(List.of(from, to), 1, Integer::sum);
            }
            from = to;
        }
        now.clear();
        contact = null;
    }

    /** @param all how many matches were played, at least 1 */
    PhaseFigure figure(int all) {
        List<Box> boxes = new ArrayList<>();
        List<Box> ends = often(Phase.FINISH, all);
        for (Phase phase : Phase.values()) {
            List<Box> here = phase == Phase.FINISH ? ends : often(phase, all);
            int most = switch (phase) {
                case START, FINISH -> EACH;
                case CONTACT -> PLACES;
                case ANSWER -> ALL - boxes.size() - Math.min(EACH, ends.size());
            };
            List<Box> kept = new ArrayList<>(here.subList(0, Math.min(most, here.size())));
            if (phase == Phase.ANSWER) {
                both(kept, here);
            }
            kept.sort(Comparator.comparing(b -> b.key().whose()));
            boxes.addAll(kept);
        }
        Set<PhaseFigure.Key> drawn = new LinkedHashSet<>();
        boxes.forEach(b -> drawn.add(b.key()));
        List<Link> links = ways.entrySet().stream()
                .filter(e -> drawn.containsAll(e.getKey()) && e.getValue() >= LEAST * all)
                .map(e -> new Link(e.getKey().get(0), e.getKey().get(1), e.getValue() / (double) all))
                .toList();
        return new PhaseFigure(all, boxes, links);
    }

    /** What comes often enough to be drawn, the most frequent first. */
    private List<Box> often(Phase phase, int all) {
        return tallies.entrySet().stream()
                .filter(e -> e.getKey().phase() == phase)
                .map(e -> e.getValue().box(e.getKey(), all))
                .filter(b -> b.share() >= LEAST)
                .sorted(Comparator.comparingDouble(Box::share).reversed())
                .toList();
    }

    /** Of what follows contact something of each is drawn where either does anything. */
    private static void both(List<Box> kept, List<Box> all) {
        for (Whose w : List.of(Whose.OURS, Whose.THEIRS)) {
            if (kept.stream().noneMatch(b -> b.key().whose() == w)) {
                all.stream().filter(b -> b.key().whose() == w).findFirst().ifPresent(b -> {
                    kept.remove(kept.size() - 1);
                    kept.add(b);
                });
            }
        }
    }
}
