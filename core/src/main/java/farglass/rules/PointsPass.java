package farglass.rules;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Score.Advantage;
import farglass.rules.Score.Award;
import farglass.rules.Score.Near;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Goes through the states of a match once: opens a hold where a place is gained, confirms it when it has lasted, and
 * says what was missing when it has not.
 */
final class PointsPass {
    private static final List<String> HELD_STANDING = List.of("SLG", "BLS", "FHS");
    private static final List<String> FREE_STANDING = List.of("STD", "CLN", "KNE");
    /** A takedown attempt so old still counts when the other pulls guard. */
    private static final long ATTEMPT_MS = 3000;
    /** So long after the other's failed attempt going behind him is a counter and no takedown. */
    private static final long COUNTER_MS = 10_000;

    private final MatchRecord record;
    private final Ruleset rules;
    private final Lexicon lexicon;
    private final long endMs;
    private final long lineMs;
    private final Map<Corner, Control> controls = new EnumMap<>(Corner.class);
    private final List<Hold> open = new ArrayList<>();
    final List<Award> awards = new ArrayList<>();
    final List<Near> near = new ArrayList<>();
    final List<Advantage> advantages = new ArrayList<>();
    final List<Finding> findings = new ArrayList<>();
    /** When control changed hands or ended. */
    final List<Long> breaks = new ArrayList<>();

    PointsPass(MatchRecord record, Ruleset rules, Lexicon lexicon, long endMs) {
        this.record = record;
        this.rules = rules;
        this.lexicon = lexicon;
        this.endMs = endMs;
        this.lineMs = Math.round(rules.pointsFrom() * record.details().lengthMs());
        controls.put(Corner.A, new Control());
        controls.put(Corner.B, new Control());
    }

    void run(List<State> states) {
        State before = null;
        for (State whole : states) {
            if (whole.from() > endMs) {
                break;
            }
            State s = whole.endingAt(endMs);
            enter(before, s);
            confirm(s);
            before = s;
        }
        for (Hold h : open) {
            lost(h, endMs, "end");
        }
    }

    private Control control(Corner c) {
        return requireNonNull(controls.get(c));
    }

    private void enter(@Nullable State p, State s) {
        List<Hold> undone = closeHolds(s);
        boolean restored = false;
        for (Corner c : Corner.values()) {
            boolean other = s.top() == c.other() && !s.neutral();
            boolean had = p != null && p.top() == c && !p.neutral();
            if (s.neutral() || other) {
                if (had || s.neutral()) {
                    control(c).broken();
                    breaks.add(s.from());
                } else {
                    control(c).underneath(s.from(), false);
                }
            } else if (s.top() == c && undone.stream().anyMatch(h -> h.who() == c.other())) {
                // a turn that did not last restores what was before it
                control(c).givenBack();
                restored = true;
            }
        }
        Corner x = s.top();
        if (x != null && !s.neutral()) {
            control(x).underneath(s.from(), s.guardOf(x.other()));
        }
        if (p != null && x != null && s.ground() && !s.placed()) {
            gains(p, s, x, restored);
        }
        remember(s);
    }

    /** Where they have come from, for what comes next. */
    private void remember(State s) {
        for (Corner c : Corner.values()) {
            boolean longStanding = FREE_STANDING.contains(s.place()) && s.to() - s.from() >= rules.recoverMs();
            if (s.guardOf(c) && !s.placed()) {
                control(c).fromGuard(true);
            } else if (s.ground() || longStanding || s.placed()) {
                control(c).fromGuard(false);
            }
        }
    }

    /** Ends the holds that do not go on; gives the turns among them that had not lasted. */
    private List<Hold> closeHolds(State s) {
        List<Hold> turns = new ArrayList<>();
        for (Iterator<Hold> it = open.iterator(); it.hasNext(); ) {
            Hold h = it.next();
            if (!h.goesOn(s)) {
                it.remove();
                lost(h, s.from(), s.placed() ? "stoppage" : "hold");
                if (h.award().equals("sweep") || h.award().equals("takedown")) {
                    turns.add(h);
                }
            }
        }
        return turns;
    }

    private void lost(Hold h, long until, String missing) {
        if (!h.award().equals("double-pull")) {
            near.add(h.near(until, rules.holdMs(), h.early() ? "late" : missing));
        }
    }

    private void gains(State p, State s, Corner x, boolean restored) {
        if (p.neutral() && p.place().equals("DGP")) {
            begin(x, "double-pull", s, "came up on top out of a double guard pull");
        } else if (p.neutral()) {
            fromStanding(p, s, x);
        } else if (p.guardOf(x) && !s.behind() && !restored) {
            begin(x, "sweep", s, what(s, "turned over from guard"));
        }
        boolean passed = s.rank() >= 1 && !"back".equals(s.set()) && overGuard(p, x);
        if (passed) {
            gain(x, "pass", s, what(s, "past the guard"));
        }
        if (s.rank() >= 2) {
            boolean there = p.top() == x && requireNonNull(s.set()).equals(p.set());
            if (!there) {
                gain(x, s.set(), s, what(s, "reached"));
            }
        }
    }

    private static boolean overGuard(State p, Corner x) {
        return p.guardOf(x.other());
    }

    private void gain(Corner x, @Nullable String award, State s, @Nullable String what) {
        boolean pending = open.stream().anyMatch(h -> h.who() == x && h.award().equals(award));
        if (!pending && !control(x).isPaid(award)) {
            begin(x, award, s, what);
        }
    }

    private void begin(Corner x, @Nullable String award, State s, @Nullable String what) {
        if (requireNonNull(award).equals("double-pull")
                ? !rules.dgpTop().equals("advantage")
                : rules.value(award) == 0) {
            return;
        }
        open.add(new Hold(x, award, s.from(), s.from() < lineMs, what, s.tag()));
    }

    private @Nullable String what(State s, String otherwise) {
        if (s.byAction() >= 0 && record.tags().get(s.byAction()) instanceof Tag.Action a) {
            return lexicon.techniqueName(a.technique());
        }
        return otherwise;
    }

    /** A takedown, or a sweep that was finished standing; nothing when nobody did it. */
    private void fromStanding(State p, State s, Corner x) {
        Tag.Action cause = s.byAction() >= 0 && record.tags().get(s.byAction()) instanceof Tag.Action a ? a : null;
        boolean swept = control(x).cameFromGuard();
        if (cause == null) {
            if (s.guard() != null) {
                findings.add(Finding.at(
                        record,
                        s.tag(),
                        "transition-without-action",
                        Finding.Severity.WARNING,
                        "They go from standing to a guard and nothing says how. Tag the takedown or the guard pull;"
                                + " until then nobody is given points for it."));
            }
            return;
        }
        String family = lexicon.familyOf(cause.technique());
        if (cause.by() == x && (family.equals("takedown") || family.equals("sweep"))) {
            if (!counters(cause)) {
                begin(x, swept ? "sweep" : "takedown", s, lexicon.techniqueName(cause.technique()));
            }
        } else if (family.equals("guard-pull") && cause.by() == x.other()) {
            boolean holding = p.top() == x && HELD_STANDING.contains(p.place());
            if (holding || shotAt(x, s.from())) {
                begin(x, "takedown", s, "takedown met by a guard pull");
            }
        }
    }

    /** Going behind somebody whose own attempt has just failed. */
    private boolean counters(Tag.Action cause) {
        if (!cause.technique().equals("go-behind")) {
            return false;
        }
        return record.tags().stream()
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.by() == cause.by().other()
                        && !a.completed()
                        && lexicon.familyOf(a.technique()).equals("takedown")
                        && a.t().compareTo(cause.t()) <= 0
                        && cause.t().since(a.end()) <= COUNTER_MS);
    }

    private boolean shotAt(Corner x, long when) {
        return record.tags().stream()
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.by() == x
                        && lexicon.familyOf(a.technique()).equals("takedown")
                        && a.reached() != null
                        && a.t().ms() <= when
                        && when - a.end().ms() <= ATTEMPT_MS);
    }

    /** Confirms what has lasted by the end of a state, in the order of time. */
    private void confirm(State s) {
        for (Control c : controls.values()) {
            long since = c.guardSince();
            if (since >= 0 && s.to() - since >= rules.recoverMs()) {
                c.gainedAnew();
            }
        }
        open.sort(java.util.Comparator.comparingLong(Hold::from));
        for (Iterator<Hold> it = open.iterator(); it.hasNext(); ) {
            Hold h = it.next();
            long at = h.from() + rules.holdMs();
            if (at > s.to()) {
                continue;
            }
            it.remove();
            if (h.award().equals("double-pull")) {
                advantages.add(new Advantage(MatchTime.ofMs(at), h.who(), "double-pull", h.what(), h.tag()));
            } else if (h.early()) {
                lost(h, at, "late");
                control(h.who()).pay(h.award());
            } else {
                control(h.who()).pay(h.award());
                awards.add(new Award(
                        MatchTime.ofMs(h.from()),
                        MatchTime.ofMs(at),
                        h.who(),
                        h.award(),
                        rules.value(h.award()),
                        h.what(),
                        h.tag()));
            }
        }
    }
}
