package farglass.rules;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.RecordKind;
import farglass.match.Result;
import farglass.match.Tag;
import farglass.rules.Score.Advantage;
import farglass.rules.Score.Award;
import farglass.rules.Score.Penalty;
import farglass.rules.Score.Step;
import farglass.rules.Score.Verdict;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Works out the score of a record under a ruleset, from positions, actions and the referee's penalties. What the table
 * called is compared and never counted. The same input gives the same score.
 */
public final class Scoring {
    private final MatchRecord record;
    private final Ruleset rules;
    private final Lexicon lexicon;
    private final boolean uncalled;
    private final List<Finding> findings = new ArrayList<>();

    private Scoring(MatchRecord record, Ruleset rules, Lexicon lexicon, boolean uncalled) {
        this.record = record;
        this.rules = rules;
        this.lexicon = lexicon;
        this.uncalled = uncalled;
    }

    public static Score of(MatchRecord record, Ruleset rules, Lexicon lexicon) {
        return new Scoring(record, rules, lexicon, false).score();
    }

    /** The score as if every infringement that was tagged had been called. */
    public static Score allCalled(MatchRecord record, Ruleset rules, Lexicon lexicon) {
        return new Scoring(record, rules, lexicon, true).score();
    }

    private Score score() {
        Optional<Tag.Action> finish = finish();
        long end = end(finish);
        Penalties penalties = new Penalties(record, rules, end, uncalled);
        Penalties.Loss loss = penalties.loss;
        if (loss != null) {
            end = Math.min(end, loss.at().ms());
        }
        List<State> states = State.of(record, rules, lexicon);
        PointsPass pass = new PointsPass(record, rules, lexicon, end);
        pass.run(states);
        findings.addAll(pass.findings);
        findings.sort(Comparator.comparing(Finding::t));
        List<Award> awards = new ArrayList<>(pass.awards);
        awards.addAll(penalties.awards);
        awards.addAll(guardPulls(states, end));
        awards.sort(Comparator.comparing(Award::confirmedAt).thenComparing(Award::t));
        Optional<Tag.Action> counted =
                loss != null && finish.isPresent() && finish.get().end().compareTo(loss.at()) >= 0
                        ? Optional.empty()
                        : finish;
        List<Advantage> advantages = new ArrayList<>(pass.advantages);
        advantages.addAll(penalties.advantages);
        advantages.addAll(new AttemptAdvantages(record, rules, lexicon, pass.awards)
                .of(pass.near, end, counted.isEmpty() && loss == null && timeUp(end)));
        advantages.sort(Comparator.comparing(Advantage::t));
        List<Step> board = board(awards, advantages, penalties.penalties);
        Step last = board.get(board.size() - 1);
        return new Score(
                rules,
                awards,
                pass.near,
                advantages,
                penalties.penalties,
                board,
                findings,
                TableCheck.of(record, awards, advantages),
                control(states, end),
                MatchTime.ofMs(end),
                verdict(counted, loss == null ? null : loss.who(), last));
    }

    /** When a match is over at the latest; a training round has no such moment. */
    private long longest() {
        return record.kind() == RecordKind.MATCH ? record.details().lengthMs() + rules.overtimeMs() : Long.MAX_VALUE;
    }

    /** Whether time ran out, as far as the record tells: it was neither broken off nor is it still being tagged. */
    private boolean timeUp(long end) {
        Result told = record.details().result();
        boolean brokenOff = told != null
                && List.of(Method.SUBMISSION, Method.DISQUALIFICATION, Method.STOPPAGE)
                        .contains(told.method());
        boolean bell = record.tags().stream().anyMatch(Tag.End.class::isInstance);
        return !brokenOff && (bell || end >= longest());
    }

    /** The first submission that was completed in time; a training round goes on after it. */
    private Optional<Tag.Action> finish() {
        if (record.kind() != RecordKind.MATCH) {
            return Optional.empty();
        }
        long last = Math.min(longest(), record.end().ms());
        for (Tag tag : record.tags()) {
            if (tag instanceof Tag.Action a
                    && a.end().ms() <= last
                    && (a.completed()
                            || (a.outcome() == null && Integer.valueOf(4).equals(a.reached())))
                    && lexicon.familyOf(a.technique()).equals("submission")) {
                return Optional.of(a);
            }
        }
        return Optional.empty();
    }

    private long end(Optional<Tag.Action> finish) {
        long longest = longest();
        long end = Math.min(record.end().ms(), longest);
        if (finish.isPresent()) {
            end = Math.min(end, finish.get().end().ms());
        }
        boolean ended = false;
        for (int i = 0; i < record.tags().size(); i++) {
            Tag tag = record.tags().get(i);
            // the bell itself, and the calls made with it, come at the end and not after it
            boolean after = tag.t().ms() > end || (ended && tag.t().ms() >= end && !(tag instanceof Tag.Call));
            if (tag.t().ms() > longest) {
                late("past-length", i);
            } else if (after && !(tag instanceof Tag.End) && !(tag instanceof Tag.Remark)) {
                late("after-end", i);
            }
            ended |= tag instanceof Tag.End;
        }
        return end;
    }

    private void late(String code, int tag) {
        findings.add(Finding.at(
                        record,
                        tag,
                        code,
                        Finding.Severity.WARNING,
                        CoreWords.of(
                                "rules." + code,
                                CoreWords.code(record.tags().get(tag).type())))
                .repair(Edit.remove(record, tag), CoreWords.of("repair.take-out")));
    }

    private List<Award> guardPulls(List<State> states, long end) {
        List<Award> pulls = new ArrayList<>();
        TakedownAttempts attempts = new TakedownAttempts(record, lexicon);
        long line = Math.round(rules.pointsFrom() * record.details().lengthMs());
        for (int i = 0; rules.guardPull() != 0 && i < record.tags().size(); i++) {
            if (record.tags().get(i) instanceof Tag.Action a
                    && a.completed()
                    && lexicon.familyOf(a.technique()).equals("guard-pull")
                    && a.t().ms() >= line
                    && a.t().ms() <= end
                    && !answersTakedown(attempts, states, a, i)) {
                pulls.add(new Award(
                        a.t(), a.t(), a.by(), "guard-pull", rules.guardPull(), CoreWords.of("rules.pulled"), i));
            }
        }
        return pulls;
    }

    /** A pull that answers a takedown attempt is a takedown for the other and costs nothing (ruling R30). */
    private static boolean answersTakedown(TakedownAttempts attempts, List<State> states, Tag.Action pull, int index) {
        State before = null;
        for (State s : states) {
            if (s.byAction() == index) {
                return attempts.underWay(pull.by().other(), before, s.from());
            }
            if (s.from() <= pull.t().ms()) {
                before = s;
            }
        }
        return attempts.underWay(pull.by().other(), before, pull.end().ms());
    }

    private static List<Step> board(List<Award> awards, List<Advantage> advantages, List<Penalty> penalties) {
        TreeMap<MatchTime, int[]> gains = new TreeMap<>();
        gains.put(MatchTime.ZERO, new int[6]);
        awards.forEach(a -> gain(gains, a.confirmedAt(), a.who(), 0, a.value()));
        advantages.forEach(a -> gain(gains, a.t(), a.who(), 2, 1));
        penalties.forEach(p -> gain(gains, p.t(), p.who(), 4, 1));
        List<Step> steps = new ArrayList<>();
        int[] sum = new int[6];
        gains.forEach((t, more) -> {
            for (int i = 0; i < sum.length; i++) {
                sum[i] += more[i];
            }
            steps.add(new Step(t, sum[0], sum[1], sum[2], sum[3], sum[4], sum[5]));
        });
        return List.copyOf(steps);
    }

    /** @param column of corner A: 0 points, 2 advantages, 4 penalties; corner B has the one after it */
    private static void gain(Map<MatchTime, int[]> gains, MatchTime t, Corner who, int column, int value) {
        gains.computeIfAbsent(t, x -> new int[6])[column + (who == Corner.A ? 0 : 1)] += value;
    }

    private static Map<Corner, Long> control(List<State> states, long end) {
        Map<Corner, Long> control = new EnumMap<>(Map.of(Corner.A, 0L, Corner.B, 0L));
        for (State s : states) {
            if (s.top() != null && !s.neutral()) {
                control.merge(s.top(), Math.max(0, Math.min(s.to(), end) - s.from()), Long::sum);
            }
        }
        return control;
    }

    private Verdict verdict(Optional<Tag.Action> finish, @Nullable Corner disqualified, Step last) {
        if (finish.isPresent()) {
            return new Verdict(finish.get().by(), Method.SUBMISSION);
        }
        if (disqualified != null) {
            return new Verdict(disqualified.other(), Method.DISQUALIFICATION);
        }
        for (String tie : rules.tieBreaks()) {
            int lead = switch (tie) {
                case "points" -> last.a() - last.b();
                case "advantages" -> last.advA() - last.advB();
                case "penalties" -> last.penB() - last.penA();
                default -> 0;
            };
            if (lead != 0) {
                return new Verdict(
                        lead > 0 ? Corner.A : Corner.B, Method.valueOf(tie.toUpperCase(java.util.Locale.ROOT)));
            }
            if (tie.equals("draw")) {
                return new Verdict(null, Method.DRAW);
            }
        }
        // the referees decide; until they have, nobody has won
        var told = record.details().result();
        boolean decided = told != null && told.method() == Method.DECISION;
        return new Verdict(decided ? requireNonNull(told).winner() : null, Method.DECISION);
    }
}
