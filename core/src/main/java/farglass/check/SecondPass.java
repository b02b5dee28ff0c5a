package farglass.check;

import farglass.lexicon.Family;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Cause;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Side;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The second pass: what is still to be said of tags that the first pass made in haste, one question at a time, each
 * with its likely answers.
 */
public final class SecondPass {
    /** Families in which it matters what the other did about it. */
    private static final List<String> ANSWERED = List.of("takedown", "sweep", "pass", "submission", "back-take");

    private static final List<String> ANSWERS =
            List.of("posture", "frame", "post-and-return", "grip-strip", "hip-switch", "sprawl", "turn-in", "none");

    private SecondPass() {}

    /** What is asked of a tag. */
    public enum Asks {
        SIDE,
        LEVEL,
        ANSWER,
        CAUSE,
        DEPTH,
        CHECKPOINT
    }

    /**
     * An open question.
     *
     * @param tag index of the tag it is about
     * @param choices likely answers, at most nine
     */
    public record Question(int tag, Asks asks, List<Choice> choices) {}

    /** An answer and the tag that it makes of the one asked about. */
    public record Choice(String words, Tag tag) {}

    /** How many of the questions that the record's tags raise are answered. */
    public record Progress(int answered, int asked) {}

    /** The first open question about a tag; empty when all is said. */
    public static Optional<Question> of(MatchRecord record, int index, Lexicon lexicon) {
        return open(record, index, PositionLine.of(record, lexicon), lexicon).stream()
                .findFirst()
                .map(asks -> new Question(index, asks, choices(record.tags().get(index), asks, lexicon)));
    }

    /** Index of the next tag after one, round from the last to the first, of which something is still to be said. */
    public static Optional<Integer> next(MatchRecord record, int after, Lexicon lexicon) {
        PositionLine line = PositionLine.of(record, lexicon);
        int n = record.tags().size();
        for (int k = 1; k <= n; k++) {
            int i = Math.floorMod(after + k, n);
            if (!open(record, i, line, lexicon).isEmpty()) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** How many questions are open, by what is asked; only of what is asked at all. */
    public static Map<Asks, Integer> open(MatchRecord record, Lexicon lexicon) {
        PositionLine line = PositionLine.of(record, lexicon);
        Map<Asks, Integer> open = new EnumMap<>(Asks.class);
        for (int i = 0; i < record.tags().size(); i++) {
            open(record, i, line, lexicon).forEach(a -> open.merge(a, 1, Integer::sum));
        }
        return open;
    }

    public static Progress progress(MatchRecord record, Lexicon lexicon) {
        PositionLine line = PositionLine.of(record, lexicon);
        int asked = 0;
        int open = 0;
        for (int i = 0; i < record.tags().size(); i++) {
            asked += asked(record, i, line, lexicon).size();
            open += open(record, i, line, lexicon).size();
        }
        return new Progress(asked - open, asked);
    }

    private static List<Asks> asked(MatchRecord record, int index, PositionLine line, Lexicon lexicon) {
        Tag tag = record.tags().get(index);
        List<Asks> asked = new ArrayList<>();
        if (tag instanceof Tag.Action a) {
            Optional<Technique> technique = lexicon.technique(a.technique());
            if (technique.map(Technique::sided).orElse(false)) {
                asked.add(Asks.SIDE);
            }
            String family = lexicon.familyOf(a.technique());
            if (!family.equals("grip") && !family.equals("feint")) {
                asked.add(Asks.LEVEL);
            }
            if (ANSWERED.contains(family) && !a.completed()) {
                asked.add(Asks.ANSWER);
            }
            if (!lexicon.checkpoints(a.technique()).isEmpty()) {
                asked.add(Asks.CHECKPOINT);
            }
        } else if (tag instanceof Tag.Position && changesWithoutAttempt(line, index)) {
            asked.add(Asks.CAUSE);
        } else if (tag instanceof Tag.Grip) {
            asked.add(Asks.DEPTH);
        }
        return asked;
    }

    private static boolean changesWithoutAttempt(PositionLine line, int index) {
        Span before = null;
        for (Span s : line.spans()) {
            if (s.tag() == index) {
                return before != null && !before.censored() && s.byAction() < 0;
            }
            before = s;
        }
        return false;
    }

    private static List<Asks> open(MatchRecord record, int index, PositionLine line, Lexicon lexicon) {
        Tag tag = record.tags().get(index);
        return asked(record, index, line, lexicon).stream()
                .filter(asks -> switch (asks) {
                    case SIDE -> ((Tag.Action) tag).sides().isEmpty();
                    case LEVEL ->
                        ((Tag.Action) tag).reached() == null && ((Tag.Action) tag).outcome() != Outcome.NOT_VISIBLE;
                    case ANSWER -> ((Tag.Action) tag).answer() == null;
                    case CAUSE -> ((Tag.Position) tag).cause() == null;
                    case DEPTH -> ((Tag.Grip) tag).depth() == null;
                    case CHECKPOINT -> unchecked((Tag.Action) tag, lexicon).isPresent();
                })
                .toList();
    }

    private static List<Choice> choices(Tag tag, Asks asks, Lexicon lexicon) {
        List<Choice> choices = new ArrayList<>();
        switch (asks) {
            case SIDE -> {
                Tag.Action a = (Tag.Action) tag;
                choices.add(new Choice(CoreWords.code("left"), a.sided(Side.LEFT)));
                choices.add(new Choice(CoreWords.code("right"), a.sided(Side.RIGHT)));
                choices.add(new Choice(CoreWords.of("choice.left-right"), a.sides(List.of(Side.LEFT, Side.RIGHT))));
                choices.add(new Choice(CoreWords.of("choice.right-left"), a.sides(List.of(Side.RIGHT, Side.LEFT))));
                choices.add(new Choice(CoreWords.code("not-visible"), a.sided(Side.NOT_VISIBLE)));
            }
            case LEVEL -> {
                Tag.Action a = (Tag.Action) tag;
                List<String> ladder = lexicon.family(lexicon.familyOf(a.technique()))
                        .map(Family::ladder)
                        .orElse(List.of("1", "2", "3", "4"));
                for (int level = 1; level <= ladder.size(); level++) {
                    choices.add(
                            new Choice(ladder.get(level - 1), a.result(outcome(a, level), level, a.to(), a.until())));
                }
                choices.add(new Choice(
                        CoreWords.code("not-visible"), a.result(Outcome.NOT_VISIBLE, null, a.to(), a.until())));
            }
            case ANSWER ->
                ANSWERS.stream()
                        .filter(lexicon.answers()::contains)
                        .forEach(answer ->
                                choices.add(new Choice(CoreWords.code(answer), ((Tag.Action) tag).answered(answer))));
            case CAUSE -> {
                for (Cause c : Cause.values()) {
                    if (c != Cause.NOT_VISIBLE) {
                        choices.add(new Choice(CoreWords.code(c.code()), ((Tag.Position) tag).caused(c)));
                    }
                }
                choices.add(new Choice(CoreWords.code("not-visible"), ((Tag.Position) tag).caused(Cause.NOT_VISIBLE)));
            }
            case CHECKPOINT -> {
                Tag.Action a = (Tag.Action) tag;
                String point = unchecked(a, lexicon).orElseThrow();
                choices.add(new Choice(CoreWords.of("choice.met", CoreWords.code(point)), a.checked(point, true)));
                choices.add(new Choice(CoreWords.of("choice.not-met"), a.checked(point, false)));
            }
            case DEPTH -> {
                for (String depth : List.of("deep", "shallow", "not-visible")) {
                    choices.add(new Choice(CoreWords.code(depth), ((Tag.Grip) tag).deep(depth)));
                }
            }
        }
        return choices;
    }

    /** The first checkpoint of which nothing is said yet. */
    private static Optional<String> unchecked(Tag.Action a, Lexicon lexicon) {
        return lexicon.checkpoints(a.technique()).stream()
                .filter(c -> !a.checks().containsKey(c))
                .findFirst();
    }

    /** What was said of the outcome stays; what was not follows from the rung. */
    private static Outcome outcome(Tag.Action a, int level) {
        if (a.outcome() != null) {
            return a.outcome();
        }
        return level == 4 ? Outcome.COMPLETED : level >= 3 ? Outcome.NEAR : Outcome.STUFFED;
    }
}
