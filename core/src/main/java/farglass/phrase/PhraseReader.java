package farglass.phrase;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads phrases such as {@code b knee cut right near}: who, what, side, how far, where it ended, in any order after the
 * first words. Terms are found by the longest alias that fits; what can be inferred is filled and reported.
 */
public final class PhraseReader {
    private static final int LONGEST_ALIAS = 6;
    private static final int COMPLETIONS = 8;
    private static final double UNSURE = 0.4;

    private final Lexicon lexicon;

    public PhraseReader(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    public Reading read(String phrase, Context context) {
        String text = phrase.strip();
        if (text.isEmpty()) {
            return new Reading(List.of(), List.of(), List.of(), "", List.of());
        }
        Parts parts = new Parts();
        String[] words = text.split("\\s+");
        for (int i = 0; i < words.length; ) {
            int used = take(words, i, parts, context);
            if (used == 0) {
                return unknown(words, i);
            }
            i += used;
        }
        return new Builder(parts, context, lexicon).build();
    }

    /** What has been understood of a phrase so far. */
    static final class Parts {
        Corner who;
        Term term;
        Position target;
        Side side;
        List<Side> sides = new ArrayList<>();
        Outcome outcome;
        Integer number;
        Cause cause;
        String depth;
        CallKind call;
        RemarkKind remark;
        String text;
        String command;
        String reason;
        boolean unsure;
        boolean expectTarget;
    }

    private int take(String[] words, int i, Parts p, Context context) {
        String w = words[i].toLowerCase(Locale.ROOT);
        if (p.who == null && corner(w, context) != null) {
            p.who = corner(w, context);
            return 1;
        }
        if (w.equals("to") && p.term != null) {
            p.expectTarget = true;
            return 1;
        }
        int used = takeTerm(words, i, p);
        if (used > 0) {
            return used;
        }
        if (Words.REMARKS.containsKey(w) && p.term == null) {
            p.remark = Words.REMARKS.get(w);
            takeText(words, i + 1, p, context);
            return words.length - i;
        }
        return takeWord(w, p) ? 1 : 0;
    }

    private void takeText(String[] words, int from, Parts p, Context context) {
        int start = from;
        if (p.who == null && start < words.length && corner(words[start].toLowerCase(Locale.ROOT), context) != null) {
            p.who = corner(words[start].toLowerCase(Locale.ROOT), context);
            start++;
        }
        p.text = String.join(" ", Arrays.copyOfRange(words, start, words.length));
    }

    private static boolean takeWord(String w, Parts p) {
        if (Words.SIDES.containsKey(w)) {
            p.side = Words.SIDES.get(w);
            p.sides.add(p.side);
        } else if (Words.OUTCOMES.containsKey(w)) {
            p.outcome = Words.OUTCOMES.get(w);
        } else if (Words.CAUSES.containsKey(w)) {
            p.cause = Words.CAUSES.get(w);
        } else if (Words.CALLS.containsKey(w)) {
            p.call = Words.CALLS.get(w);
        } else if (Words.DEPTHS.containsKey(w)) {
            p.depth = w;
        } else if (w.matches("[1-9]")) {
            p.number = Integer.parseInt(w);
        } else if (w.equals("?")) {
            p.unsure = true;
        } else if (p.command == null && Words.COMMANDS.contains(w)) {
            p.command = w;
        } else if ("stop".equals(p.command) && Words.STOP_REASONS.containsKey(w)) {
            p.reason = Words.STOP_REASONS.get(w);
        } else {
            return false;
        }
        return true;
    }

    /** The longest run of words that is a term; after "to", only positions. */
    private int takeTerm(String[] words, int i, Parts p) {
        for (int n = Math.min(LONGEST_ALIAS, words.length - i); n > 0; n--) {
            List<Term> found = lexicon.lookUp(String.join(" ", Arrays.copyOfRange(words, i, i + n)));
            boolean fixed = n == 1 && takeWord(words[i].toLowerCase(Locale.ROOT), new Parts());
            if (found.isEmpty() || fixed) {
                continue;
            }
            Optional<Position> position = found.stream()
                    .filter(Position.class::isInstance)
                    .map(Position.class::cast)
                    .findFirst();
            if ((p.expectTarget || p.term instanceof Technique) && position.isPresent()) {
                p.target = position.get();
                p.expectTarget = false;
                return n;
            }
            if (p.term == null) {
                p.term = found.stream()
                        .min(java.util.Comparator.comparingInt(PhraseReader::rank))
                        .orElseThrow();
                return n;
            }
        }
        return 0;
    }

    private static int rank(Term t) {
        return t instanceof Technique ? 0 : t instanceof Position ? 1 : 2;
    }

    private static Corner corner(String w, Context context) {
        if (w.equals("a") || w.equals("b")) {
            return w.equals("a") ? Corner.A : Corner.B;
        }
        for (Corner c : Corner.values()) {
            for (String part :
                    context.record().athlete(c).name().toLowerCase(Locale.ROOT).split("\\s+")) {
                if (part.equals(w)) {
                    return c;
                }
            }
        }
        return null;
    }

    private Reading unknown(String[] words, int at) {
        List<String> completions = new ArrayList<>();
        for (int from = Math.max(0, words.length - LONGEST_ALIAS); from < words.length; from++) {
            String tail = Lexicon.normal(String.join(" ", Arrays.copyOfRange(words, from, words.length)));
            String head = String.join(" ", Arrays.copyOfRange(words, 0, from));
            for (String candidate : candidates(tail)) {
                String whole = head.isEmpty() ? candidate : head + " " + candidate;
                if (!completions.contains(whole)) {
                    completions.add(whole);
                }
            }
        }
        String problem = "\"" + String.join(" ", Arrays.copyOfRange(words, at, words.length))
                + "\" is not a word of the lexicon";
        return new Reading(
                List.of(),
                List.of(),
                List.of(),
                problem,
                completions.subList(0, Math.min(COMPLETIONS, completions.size())));
    }

    private List<String> candidates(String prefix) {
        List<String> found = new ArrayList<>(lexicon.words().stream()
                .filter(w -> w.startsWith(prefix))
                .sorted(java.util.Comparator.comparingInt(String::length).thenComparing(w -> w))
                .limit(COMPLETIONS)
                .toList());
        for (List<String> fixed : List.of(
                List.copyOf(Words.OUTCOMES.keySet()),
                List.copyOf(Words.SIDES.keySet()),
                List.copyOf(Words.CALLS.keySet()),
                List.copyOf(Words.REMARKS.keySet()),
                Words.COMMANDS)) {
            fixed.stream()
                    .filter(w -> w.length() > 1 && w.startsWith(prefix))
                    .sorted()
                    .forEach(found::add);
        }
        return found;
    }

    /** Turns understood parts into tags. */
    private static final class Builder {
        private final Parts p;
        private final Context c;
        private final Lexicon lexicon;
        private final MatchTime t;
        private final TagInfo info;
        private final List<String> words = new ArrayList<>();
        private final List<String> inferred = new ArrayList<>();

        Builder(Parts p, Context c, Lexicon lexicon) {
            this.p = p;
            this.c = c;
            this.lexicon = lexicon;
            this.t = c.stamp();
            this.info = p.unsure ? TagInfo.NONE.confidence(UNSURE) : TagInfo.NONE;
        }

        Reading build() {
            if (p.command != null) {
                return command();
            }
            if (p.remark != null) {
                return remark();
            }
            if (p.call != null) {
                return call();
            }
            if (p.term instanceof Technique technique) {
                return action(technique);
            }
            if (p.term instanceof Position position) {
                return position(position);
            }
            if (p.term instanceof Grip grip) {
                return grip(grip);
            }
            return missing("what did " + (p.who == null ? "they" : name(p.who)) + " do?");
        }

        private Reading command() {
            words.add(p.command);
            return switch (p.command) {
                case "start" -> done(new Tag.Start(t, info));
                case "stop" -> {
                    if (p.reason != null) {
                        words.add(p.reason);
                    }
                    yield done(new Tag.Stop(t, p.reason, info));
                }
                case "resume" -> resume();
                default -> done(new Tag.End(t, info));
            };
        }

        private Reading resume() {
            if (p.term instanceof Position position) {
                words.add(position.name());
                Tag.Position placed = placed(position, p.who);
                return placed == null
                        ? missing(whoQuestion(position))
                        : done(new Tag.Resume(t, position.code(), placed.holder(), placed.guard(), info));
            }
            inferred.add("same position");
            return done(new Tag.Resume(t, null, null, null, info));
        }

        private Reading remark() {
            words.add(p.remark.code());
            if (p.who != null) {
                words.add(name(p.who));
            }
            if (p.text == null || p.text.isBlank()) {
                return missing("write the remark");
            }
            words.add(p.text);
            return done(new Tag.Remark(t, p.remark, p.who, "seen", p.text, null, null, java.util.Map.of(), info));
        }

        private Reading call() {
            words.add(p.call.code());
            if (p.who == null) {
                return missing("for whom? a or b");
            }
            words.add(name(p.who));
            if (p.call == CallKind.POINTS && p.number == null) {
                return missing("how many points?");
            }
            Integer value = p.call == CallKind.POINTS ? p.number : null;
            if (value != null) {
                words.add(value.toString());
            }
            return done(new Tag.Call(t, p.call, p.who, value, true, null, null, info));
        }

        private Reading grip(Grip grip) {
            Corner by = who(c.lastActor());
            words.add(grip.name());
            if (by == null) {
                return missing("whose grip? a or b");
            }
            words.add(name(by));
            if (p.side != null) {
                words.add(p.side.code() + " hand");
            }
            if (p.depth != null) {
                words.add(p.depth);
            }
            return done(new Tag.Grip(t, by, grip.code(), p.side, p.depth, null, null, info));
        }

        private Reading position(Position position) {
            words.add(position.name());
            Tag.Position tag = placed(position, p.who);
            if (tag == null) {
                return missing(whoQuestion(position));
            }
            if (p.side != null) {
                words.add(p.side.code());
            }
            return done(tag.sided(p.side).caused(p.cause).with(info));
        }

        private static String whoQuestion(Position position) {
            return position.guard() ? "who plays guard? a or b" : "who is ahead? a or b";
        }

        /** The named athlete plays the guard, or holds the place; without a name the roles stay as they are. */
        private Tag.Position placed(Position position, Corner named) {
            if (position.neutral()) {
                return Tag.Position.of(t, position.code(), null, null);
            }
            boolean guard = position.guard();
            Corner subject = named;
            if (subject == null) {
                subject = guard ? (c.guard() != null ? c.guard() : null) : c.holder();
                if (subject == null) {
                    return null;
                }
                inferred.add(name(subject) + (guard ? " plays guard" : " ahead"));
            } else {
                words.add(name(subject));
            }
            boolean passing = position.family().equals("passing");
            if (passing && named != null) {
                return Tag.Position.of(t, position.code(), subject, subject.other());
            }
            return guard
                    ? Tag.Position.of(t, position.code(), subject.other(), subject)
                    : Tag.Position.of(t, position.code(), subject, null);
        }

        private Reading action(Technique technique) {
            Corner by = who(actor(technique));
            words.add(technique.name());
            if (by == null) {
                return missing("who? a or b");
            }
            words.add(name(by));
            if (!p.sides.isEmpty()) {
                words.add("to own "
                        + String.join(", ", p.sides.stream().map(Side::code).toList()));
            }
            Integer reached = p.number;
            Outcome outcome = p.outcome;
            if (reached != null && reached > 4) {
                return missing("how far: 1 to 4");
            }
            if (outcome == null && (p.target != null || reached != null && reached == 4)) {
                outcome = Outcome.COMPLETED;
                inferred.add("completed");
            }
            if (reached == null && outcome == Outcome.COMPLETED) {
                reached = 4;
            }
            if (p.outcome != null) {
                words.add(p.outcome.code());
            }
            if (reached != null) {
                String rung = lexicon.family(technique.family())
                        .orElseThrow()
                        .ladder()
                        .get(reached - 1);
                (p.number == null ? inferred : words).add(rung);
            }
            return effect(technique, by, outcome, reached);
        }

        private Reading effect(Technique technique, Corner by, Outcome outcome, Integer reached) {
            Position target = p.target;
            boolean completed = outcome == Outcome.COMPLETED;
            boolean submission = technique.family().equals("submission");
            if (target == null && completed && !submission && !technique.to().isEmpty()) {
                target = lexicon.position(technique.to().get(0)).orElseThrow();
                inferred.add("to " + target.name());
            } else if (target != null) {
                words.add("to " + target.name());
            }
            List<Side> sides = p.sides;
            Tag.Action action = new Tag.Action(
                    t,
                    by,
                    technique.code(),
                    null,
                    sides,
                    outcome,
                    reached,
                    target == null ? null : target.code(),
                    null,
                    null,
                    null,
                    java.util.Map.of(),
                    null,
                    null,
                    info);
            List<Tag> tags = new ArrayList<>();
            tags.add(action);
            if (completed && submission) {
                inferred.add("ends the match");
                tags.add(new Tag.End(t, TagInfo.NONE));
            } else if (completed && target != null) {
                tags.add(Arrival.of(t, technique, by, target).caused(p.cause));
            }
            return new Reading(tags, words, inferred, "", List.of());
        }

        /** Who must be meant when nobody is named. */
        private Corner actor(Technique technique) {
            Corner guard = c.guard();
            return switch (technique.role()) {
                case GUARD -> guard;
                case TOP -> guard == null ? null : guard.other();
                case HOLDER -> c.holder();
                case UNDER -> c.holder() == null ? null : c.holder().other();
                case ANY -> null;
            };
        }

        private Corner who(Corner likely) {
            if (p.who == null && likely != null) {
                inferred.add(name(likely));
                return likely;
            }
            return p.who;
        }

        private String name(Corner corner) {
            return c.record().athlete(corner).surname();
        }

        private Reading done(Tag tag) {
            return new Reading(List.of(tag), words, inferred, "", List.of());
        }

        private Reading missing(String question) {
            return new Reading(List.of(), words, inferred, question, List.of());
        }
    }
}
