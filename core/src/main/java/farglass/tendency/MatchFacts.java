package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.PositionLine;
import farglass.match.RecordKind;
import farglass.match.Result;
import farglass.match.Role;
import farglass.match.Side;
import farglass.match.Situation;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.rules.Rulesets;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.stats.TagRef;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Everything that is worked out once from one record, whoever asks: its spans, its acts with where they happened, and
 * per corner how often everything was tried and how long every place lasted. A changed record gets new facts; all
 * others keep theirs.
 */
public final class MatchFacts {
    /** Under this stands whether a match was won by submission. */
    static final String WON = "won by submission";
    /** Under this stands whether it was lost by submission. */
    static final String LOST = "lost by submission";
    /** Of an athlete in a place. */
    static final List<Role> ROLES = List.of(Role.HOLDER, Role.GUARD, Role.UNDER, Role.NEUTRAL);

    private final MatchRecord record;
    private final Lexicon lexicon;
    private final PositionLine line;
    private final MatchTime end;
    private final List<MatchTime> gaps;
    private final List<Act> acts;
    private final Map<Corner, Tally> tallies = new EnumMap<>(Corner.class);
    private final Map<Corner, List<Reaction>> reactions = new EnumMap<>(Corner.class);
    private final Map<Corner, List<List<Exchanges.Step>>> exchanges = new EnumMap<>(Corner.class);
    private final Map<Corner, Map<String, Map<String, Integer>>> answerCounts = new EnumMap<>(Corner.class);
    private final Map<Corner, Map<Situation, Map<String, Integer>>> exitCounts = new EnumMap<>(Corner.class);
    private final Map<Corner, Map<Situation, List<Transition>>> transitions = new EnumMap<>(Corner.class);
    private final Map<Corner, List<PlaceStays.Stay>> stays = new EnumMap<>(Corner.class);
    private @Nullable List<Step> score;
    /** By tag, as far as they were asked for. */
    private final TagRef[] refs;

    /** An action and the span it starts in. */
    public record Act(
            int index, Tag.Action action, @Nullable Span span, String family) {}

    /** The board from a moment on, seen from corner A: negative when A is behind. */
    private record Step(MatchTime t, int lead) {}

    /**
     * Sums of one corner.
     *
     * @param tries by technique, by {@code @family}, and {@code *}: attempts that worked, attempts whose outcome was
     * seen, all; by {@code side family}: attempts begun to the right, attempts with a side, the same; by
     * {@link Opening#key}, {@link #WON} and {@link #LOST}: whether the match began or ended so, and 1
     * @param ms live time by place and role
     */
    record Tally(Map<String, int[]> tries, Map<Situation, Long> ms) {}

    private MatchFacts(MatchRecord record, Lexicon lexicon) {
        this.record = record;
        this.lexicon = lexicon;
        this.line = PositionLine.of(record, lexicon);
        this.end = record.end();
        this.gaps = line.spans().stream()
                .filter(s -> s.exit() == Span.Exit.GAP)
                .map(Span::to)
                .toList();
        this.refs = new TagRef[record.tags().size()];
        this.acts = Collections.unmodifiableList(collect());
        for (Corner c : Corner.values()) {
            tallies.put(c, tally(c));
        }
    }

    public static MatchFacts of(MatchRecord record, Lexicon lexicon) {
        return new MatchFacts(record, lexicon);
    }

    public MatchRecord record() {
        return record;
    }

    /** The spans of the match. */
    public PositionLine line() {
        return line;
    }

    /** When the film breaks off, in order. */
    List<MatchTime> gaps() {
        return gaps;
    }

    /** A tag's name; made once, because every claim cites it. A race makes two that are equal. */
    TagRef ref(int tag) {
        TagRef known = refs[tag];
        if (known == null) {
            known = new TagRef(record.id(), record.tagName(tag));
            refs[tag] = known;
        }
        return known;
    }

    /** Where the record ends, as {@link MatchRecord#end()}. */
    MatchTime end() {
        return end;
    }

    /** All actions, in the order of time. */
    public List<Act> acts() {
        return acts;
    }

    /** Team of a corner's athlete, empty when not known. */
    public static String team(MatchRecord r, Corner c) {
        Object team = r.athlete(c).extra().get("team");
        return team == null ? "" : team.toString();
    }

    @Nullable
    Tally tally(String athlete) {
        return record.cornerOf(athlete).map(tallies::get).orElse(null);
    }

    @Nullable
    Tally of(Corner c) {
        return tallies.get(c);
    }

    /** The span an action starts in: of two that meet at its time, the one whose tag comes first in the record. */
    private List<Act> collect() {
        List<Act> found = new ArrayList<>();
        List<Span> spans = line.spans();
        int at = -1;
        List<Tag> tags = record.tags();
        for (int i = 0; i < tags.size(); i++) {
            if (!(tags.get(i) instanceof Tag.Action a)) {
                continue;
            }
            while (at + 1 < spans.size() && begun(spans.get(at + 1), a.t(), i)) {
                at++;
            }
            found.add(new Act(i, a, at < 0 ? null : spans.get(at), family(a)));
        }
        return found;
    }

    private static boolean begun(Span s, MatchTime t, int index) {
        return s.from().compareTo(t) < 0 || (s.from().equals(t) && s.tag() < index);
    }

    private String family(Tag.Action a) {
        return lexicon.technique(a.technique())
                .map(Technique::family)
                .orElse(a.family() == null ? "other" : a.family());
    }

    /** Whether a completed action ended the match. */
    boolean finishes(Tag.Action a) {
        return family(a).equals("submission") && record.kind() == RecordKind.MATCH;
    }

    private Tally tally(Corner c) {
        Map<String, int[]> tries = new HashMap<>();
        for (Act act : acts) {
            if (act.action().by() == c) {
                for (String key : List.of(act.action().technique(), "@" + act.family(), "*")) {
                    int[] n = tries.computeIfAbsent(key, k -> new int[3]);
                    n[2]++;
                    if (Evidence.outcomeSeen(act.action())) {
                        n[1]++;
                        n[0] += act.action().completed() ? 1 : 0;
                    }
                }
            }
        }
        for (Act act : acts) {
            Side side = act.action().firstSide();
            if (act.action().by() == c && Evidence.sided(side)) {
                int[] n = tries.computeIfAbsent("side " + act.family(), k -> new int[3]);
                n[0] += side == Side.RIGHT ? 1 : 0;
                n[1]++;
                n[2]++;
            }
        }
        Act first = Opening.first(this);
        if (first != null) {
            Opening how = Opening.of(first, c);
            for (Opening o : Opening.values()) {
                tries.put(o.key(), new int[] {o == how ? 1 : 0, 1, 1});
            }
        }
        Result result = record.details().result();
        if (result != null) {
            boolean tapped = result.method() == Method.SUBMISSION;
            tries.put(WON, new int[] {tapped && result.winner() == c ? 1 : 0, 1, 1});
            tries.put(LOST, new int[] {tapped && result.winner() == c.other() ? 1 : 0, 1, 1});
        }
        Map<Situation, Long> ms = new LinkedHashMap<>();
        for (Span s : line.spans()) {
            ms.merge(Situation.of(s, c), s.lengthMs(), Long::sum);
        }
        return new Tally(tries, ms);
    }

    /**
     * Points, then advantages, then fewer penalties: 1 when the corner is ahead, 0 level, -1 behind. From the table's
     * calls where any points were called, else from the rules.
     */
    public int standing(MatchTime t, Corner c) {
        int lead = 0;
        for (Step s : score()) {
            if (s.t().compareTo(t) > 0) {
                break;
            }
            lead = s.lead();
        }
        return Integer.signum(c == Corner.A ? lead : -lead);
    }

    /** What a corner did about the other's attempts, in order. */
    synchronized List<Reaction> reactions(Corner reacting) {
        return reactions.computeIfAbsent(reacting, c -> Reaction.of(this, c));
    }

    /** How a corner's stays in single places ended, by place and role; censored ones left out. */
    synchronized Map<Situation, List<Transition>> transitions(Corner me) {
        return transitions.computeIfAbsent(me, c -> Transition.of(this, c));
    }

    /** A corner's stays in places, in order. */
    synchronized List<PlaceStays.Stay> stays(Corner me) {
        return stays.computeIfAbsent(me, c -> PlaceStays.of(this, c));
    }

    /** The exchanges of the whole match as a corner sees them. */
    synchronized List<List<Exchanges.Step>> exchanges(Corner me) {
        return exchanges.computeIfAbsent(me, c -> Exchanges.rows(this, c, lexicon, t -> true));
    }

    /** How often each answer followed each trigger. */
    synchronized Map<String, Map<String, Integer>> answerCounts(Corner reacting) {
        return answerCounts.computeIfAbsent(reacting, c -> {
            Map<String, Map<String, Integer>> counts = new HashMap<>();
            for (Reaction r : reactions(c)) {
                counts.computeIfAbsent(r.trigger().action().technique(), k -> new HashMap<>())
                        .merge(r.answer(), 1, Integer::sum);
            }
            return counts;
        });
    }

    /** How often each place was left in each way. */
    synchronized Map<Situation, Map<String, Integer>> exitCounts(Corner me) {
        return exitCounts.computeIfAbsent(me, c -> {
            Map<Situation, Map<String, Integer>> counts = new HashMap<>();
            transitions(c).forEach((stand, list) -> {
                Map<String, Integer> sum = counts.computeIfAbsent(stand, k -> new HashMap<>());
                list.forEach(t -> sum.merge(t.category(), 1, Integer::sum));
            });
            return counts;
        });
    }

    /** Moments at which who leads may change. */
    public List<MatchTime> turns() {
        return score().stream().map(Step::t).toList();
    }

    private synchronized List<Step> score() {
        if (score == null) {
            score = called() ? table() : computed();
        }
        return score;
    }

    private boolean called() {
        return record.tags().stream().anyMatch(x -> x instanceof Tag.Call c && c.call() == CallKind.POINTS);
    }

    /** Points weigh more than any number of advantages, those more than any number of penalties. */
    private static int lead(int points, int advantages, int penalties) {
        return points * 10_000 + advantages * 100 - penalties;
    }

    private List<Step> table() {
        List<Step> steps = new ArrayList<>();
        int points = 0;
        int advantages = 0;
        int penalties = 0;
        for (Tag tag : record.tags()) {
            if (tag instanceof Tag.Call c && c.called() && c.who() != null) {
                int sign = c.who() == Corner.A ? 1 : -1;
                switch (c.call()) {
                    case POINTS -> points += sign * (c.value() == null ? 0 : c.value());
                    case ADVANTAGE -> advantages += sign;
                    case PENALTY -> penalties += sign;
                    default -> {}
                }
                steps.add(new Step(c.t(), lead(points, advantages, penalties)));
            }
        }
        return steps;
    }

    private List<Step> computed() {
        String code = record.details().ruleset();
        return Rulesets.builtIn()
                .of(code, record.details().date())
                .map(rules -> Scoring.of(record, rules, lexicon).scoreboard().stream()
                        .map(MatchFacts::step)
                        .toList())
                .orElse(List.of());
    }

    private static Step step(Score.Step s) {
        return new Step(s.t(), lead(s.a() - s.b(), s.advA() - s.advB(), s.penA() - s.penB()));
    }
}
