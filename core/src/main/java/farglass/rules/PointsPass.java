package farglass.rules;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Score.Advantage;
import farglass.rules.Score.Award;
import farglass.rules.Score.Near;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.ListIterator;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Goes through the states of a match once: opens a hold where a place is gained, confirms it when it has lasted, and
 * says what was missing when it has not.
 */
final class PointsPass {
    private static final List<String> FREE_STANDING = List.of("STD", "CLN", "KNE");
    private static final List<String> HALF_BACK = List.of("BTR", "BK1");

    private final MatchRecord record;
    private final Ruleset rules;
    private final Lexicon lexicon;
    private final TakedownAttempts attempts;
    private final long endMs;
    private final long lineMs;
    private final Map<Corner, Control> controls = new EnumMap<>(Corner.class);
    private final List<Hold> open = new ArrayList<>();
    /** Since when both have stood free, -1 while they do not. */
    private long freeSince = -1;

    final List<Award> awards = new ArrayList<>();
    final List<Near> near = new ArrayList<>();
    final List<Advantage> advantages = new ArrayList<>();
    final List<Finding> findings = new ArrayList<>();

    PointsPass(MatchRecord record, Ruleset rules, Lexicon lexicon, long endMs) {
        this.record = record;
        this.rules = rules;
        this.lexicon = lexicon;
        this.attempts = new TakedownAttempts(record, lexicon);
        this.endMs = endMs;
        this.lineMs = Math.round(rules.pointsFrom() * record.details().lengthMs());
        controls.put(Corner.A, new Control());
        controls.put(Corner.B, new Control());
    }

    /** What is seen next after a while off picture goes on from what was seen last (ruling R46). */
    void run(List<State> states) {
        State before = null;
        int actionUnseen = -1;
        boolean away = false;
        for (State whole : states) {
            if (whole.from() > endMs) {
                break;
            }
            State s = whole.endingAt(endMs);
            away = s.unseen();
            if (away) {
                actionUnseen = Math.max(actionUnseen, s.byAction());
                continue;
            }
            long unseen = before == null ? 0 : s.from() - before.to();
            enter(before, s.byAction() < 0 ? s.causedBy(actionUnseen) : s, unseen);
            confirm(s);
            before = s;
            actionUnseen = -1;
        }
        for (Hold h : open) {
            if (away && before != null) {
                lost(h, before.to(), Reason.NOT_SEEN);
            } else {
                lost(h, endMs, Reason.END);
            }
        }
    }

    private Control control(Corner c) {
        return requireNonNull(controls.get(c));
    }

    /** @param unseen ms off picture before the state */
    private void enter(@Nullable State p, State s, long unseen) {
        List<Hold> undone = closeHolds(p, s, unseen);
        boolean restored = false;
        for (Corner c : Corner.values()) {
            boolean other = s.top() == c.other() && !s.neutral();
            boolean had = p != null && p.top() == c && !p.neutral();
            if (s.neutral() || other) {
                if (had || s.neutral()) {
                    control(c).broken();
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
        if (p != null && x != null && s.ground()) {
            new Gains(p, s, x, restored, unseen > 0).collect();
        }
        remember(s);
    }

    /** Where they have come from, for what comes next. */
    private void remember(State s) {
        if (!FREE_STANDING.contains(s.place())) {
            freeSince = -1;
        } else if (freeSince < 0) {
            freeSince = s.from();
        }
        boolean longStanding = freeSince >= 0 && s.to() - freeSince >= rules.recoverMs();
        for (Corner c : Corner.values()) {
            if (s.guardOf(c) && !s.placed()) {
                control(c).fromGuard(true);
            } else if (s.ground() || longStanding || s.placed()) {
                control(c).fromGuard(false);
            }
        }
    }

    /** Ends the holds that do not go on; gives the turns among them that had not lasted. */
    private List<Hold> closeHolds(@Nullable State p, State s, long unseen) {
        List<Hold> turns = new ArrayList<>();
        for (ListIterator<Hold> it = open.listIterator(); it.hasNext(); ) {
            Hold h = it.next();
            if (h.goesOn(s)) {
                it.set(h.unseen(unseen));
                continue;
            }
            it.remove();
            if (unseen > 0 && p != null) {
                lost(h, p.to(), Reason.NOT_SEEN);
            } else {
                lost(h, s.from(), s.placed() ? Reason.STOPPAGE : Reason.HOLD);
            }
            if (h.award().equals("sweep") || h.award().equals("takedown")) {
                turns.add(h);
            }
        }
        return turns;
    }

    private void lost(Hold h, long until, Reason missing) {
        if (!h.award().equals("double-pull")) {
            near.add(h.near(until, rules.holdMs(), h.early() ? Reason.LATE : missing));
        }
    }

    /** What one athlete gains by a change of place, or why he does not. */
    private final class Gains {
        private final State p;
        private final State s;
        private final Corner x;
        private final boolean restored;
        private final Tag.@Nullable Action cause;
        /** Why nothing of it can count, or null. */
        private final @Nullable Reason denied;

        Gains(State p, State s, Corner x, boolean restored, boolean afterUnseen) {
            this.p = p;
            this.s = s;
            this.x = x;
            this.restored = restored;
            this.cause = s.byAction() >= 0 && record.tags().get(s.byAction()) instanceof Tag.Action a ? a : null;
            this.denied = s.placed() ? Reason.PLACED : afterUnseen && cause == null ? Reason.NOT_SEEN : null;
        }

        void collect() {
            if (p.neutral() && p.place().equals("DGP")) {
                begin("double-pull", CoreWords.of("rules.double-pull"));
            } else if (p.neutral() && guardPlace(p)) {
                refuse("sweep", Reason.NOBODY_ON_TOP);
            } else if (p.neutral()) {
                fromStanding();
            } else if (p.guardOf(x)) {
                fromGuard();
            } else if (p.top() == x.other()) {
                refuse("sweep", denied != null ? denied : restored ? Reason.UNDONE : Reason.REVERSAL);
            }
            if (s.rank() >= 1 && !"back".equals(s.set()) && p.guardOf(x.other())) {
                gain("pass", CoreWords.of("rules.past"), denied);
            }
            if (s.rank() >= 2 && s.set() != null && !(p.top() == x && s.set().equals(p.set()))) {
                // the place itself is seen, however they came to it
                gain(s.set(), CoreWords.of("rules.reached"), denied == Reason.NOT_SEEN ? null : denied);
            }
            boolean behindBefore = p.top() == x && (HALF_BACK.contains(p.place()) || "back".equals(p.set()));
            if (HALF_BACK.contains(s.place())
                    && s.set() == null
                    && !behindBefore
                    && !control(x).isPaid("back")) {
                refuse("back", Reason.HOOKS);
            }
        }

        private boolean guardPlace(State state) {
            return lexicon.position(state.place()).map(Position::guard).orElse(false);
        }

        private void fromGuard() {
            if (restored) {
                refuse("sweep", Reason.UNDONE);
            } else if (s.behind()) {
                refuse("sweep", Reason.BACK_FROM_GUARD);
            } else if (denied != null) {
                refuse("sweep", denied);
            } else {
                begin("sweep", what(CoreWords.of("rules.turned")));
            }
        }

        /** A takedown, or a sweep that was finished standing; nothing when nobody did it. */
        private void fromStanding() {
            String award = control(x).cameFromGuard() ? "sweep" : "takedown";
            if (denied != null) {
                refuse(award, denied);
                return;
            }
            if (cause == null) {
                findings.add(unexplained());
                return;
            }
            String family = lexicon.familyOf(cause.technique());
            if (cause.by() == x && (family.equals("takedown") || family.equals("sweep"))) {
                if (attempts.counters(cause)) {
                    refuse(award, Reason.COUNTER);
                } else {
                    begin(award, lexicon.techniqueName(cause.technique()));
                }
            } else if (family.equals("guard-pull") && cause.by() == x.other()) {
                if (attempts.underWay(x, p, s.from())) {
                    begin("takedown", CoreWords.of("rules.met"));
                } else {
                    refuse("takedown", Reason.PULL);
                }
            }
        }

        /** Nobody is given anything for it until somebody says what happened. */
        private Finding unexplained() {
            return Finding.at(
                    record,
                    s.tag(),
                    "transition-without-action",
                    Finding.Severity.WARNING,
                    CoreWords.of(s.guard() != null ? "rules.unexplained.guard" : "rules.unexplained.ground"));
        }

        private void gain(String award, String otherwise, @Nullable Reason refused) {
            boolean pending =
                    open.stream().anyMatch(h -> h.who() == x && h.award().equals(award));
            if (pending) {
                return;
            }
            if (control(x).isPaid(award)) {
                refuse(award, p.guardOf(x.other()) ? Reason.RECOVERY : Reason.PAID);
            } else if (refused != null) {
                refuse(award, refused);
            } else {
                begin(award, what(otherwise));
            }
        }

        private void begin(String award, String why) {
            boolean counts = award.equals("double-pull")
                    ? rules.dgpTop().equals("advantage") && denied == null
                    : rules.value(award) != 0;
            if (counts) {
                open.add(new Hold(x, award, s.from(), 0, s.from() < lineMs, why, s.tag()));
            }
        }

        private void refuse(String award, Reason reason) {
            if (rules.value(award) != 0) {
                near.add(new Near(
                        MatchTime.ofMs(s.from()),
                        x,
                        award,
                        0,
                        rules.holdMs(),
                        reason.code(),
                        "reason." + reason.code(),
                        s.tag()));
            }
        }

        private String what(String otherwise) {
            return cause == null ? otherwise : lexicon.techniqueName(cause.technique());
        }
    }

    /** Confirms what has lasted by the end of a state, in the order of time. */
    private void confirm(State s) {
        for (Control c : controls.values()) {
            long since = c.guardSince();
            if (since >= 0 && s.to() - since >= rules.recoverMs()) {
                c.gainedAnew();
            }
        }
        open.sort(Comparator.comparingLong(Hold::from));
        for (Iterator<Hold> it = open.iterator(); it.hasNext(); ) {
            Hold h = it.next();
            long at = h.doneAt(rules.holdMs());
            if (at > s.to()) {
                continue;
            }
            it.remove();
            if (h.award().equals("double-pull")) {
                advantages.add(new Advantage(MatchTime.ofMs(at), h.who(), "double-pull", h.what(), h.tag()));
            } else if (h.early()) {
                lost(h, at, Reason.LATE);
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
                        h.tag(),
                        h.unseenMs() > 0));
            }
        }
    }
}
