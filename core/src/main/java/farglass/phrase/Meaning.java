package farglass.phrase;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Turns understood parts into tags. */
final class Meaning {
    /** Confidence of a tag typed with a question mark. */
    private static final double UNSURE = 0.4;

    private final Parts p;
    private final Context c;
    private final Lexicon lexicon;
    private final MatchTime t;
    private final TagInfo info;
    private final List<String> words = new ArrayList<>();
    private final List<String> inferred = new ArrayList<>();

    Meaning(Parts p, Context c, Lexicon lexicon) {
        this.p = p;
        this.c = c;
        this.lexicon = lexicon;
        this.t = c.stamp();
        this.info = p.unsure ? TagInfo.NONE.confidence(UNSURE) : TagInfo.NONE;
    }

    Reading reading() {
        p.slips.forEach(slip -> {
            String[] read = slip.split(": ", 2);
            inferred.add(CoreWords.of("phrase.read", read[0], read[1]));
        });
        if (p.command != null) {
            return command();
        }
        if (p.remark != null) {
            return remark();
        }
        if (p.call != null) {
            return call();
        }
        Term term = p.meant();
        if (p.ended != null && !(term instanceof Technique) && !(term instanceof Position)) {
            return ending(term instanceof Grip grip ? grip.code() : null);
        }
        if (p.fact != null) {
            return body();
        }
        if (term instanceof Technique technique) {
            return action(technique);
        }
        if (term instanceof Position position) {
            return position(position);
        }
        if (term instanceof Grip grip) {
            return grip(grip);
        }
        return missing(p.who == null ? CoreWords.of("phrase.what") : CoreWords.of("phrase.what-did", name(p.who)));
    }

    private java.util.Map<String, String> fields() {
        return p.remark == farglass.match.RemarkKind.PREFERENCE ? PreferenceWords.fields(p.text) : java.util.Map.of();
    }

    private Reading command() {
        words.add(TypedWords.written(requireNonNull(p.command)));
        return switch (p.command) {
            case "start" -> done(new Tag.Start(t, info));
            case "stop" -> {
                if (p.reason != null) {
                    words.add(CoreWords.code(p.reason));
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
        inferred.add(CoreWords.of("phrase.same-position"));
        return done(new Tag.Resume(t, null, null, null, info));
    }

    private Reading remark() {
        words.add(CoreWords.code(requireNonNull(p.remark).code()));
        if (p.who != null) {
            words.add(name(p.who));
        }
        if (p.text == null || p.text.isBlank()) {
            return missing(CoreWords.of("phrase.write-remark"));
        }
        words.add(p.text);
        if (p.instead != null) {
            words.add(CoreWords.of("phrase.instead", p.instead));
        }
        if (p.punished != null) {
            words.add(CoreWords.of(p.punished ? "phrase.punished" : "phrase.free"));
        }
        return done(new Tag.Remark(t, p.remark, p.who, "seen", p.text, p.instead, p.punished, fields(), info));
    }

    private Reading call() {
        words.add(CoreWords.code(requireNonNull(p.call).code()));
        if (p.who == null) {
            return missing(CoreWords.of("phrase.for-whom"));
        }
        words.add(name(p.who));
        if (p.call == CallKind.POINTS && p.number == null) {
            return missing(CoreWords.of("phrase.how-many"));
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
            return missing(CoreWords.of("phrase.whose-grip"));
        }
        words.add(name(by));
        if (p.side != null) {
            words.add(CoreWords.of("phrase.hand", CoreWords.code(p.side.code())));
        }
        if (p.depth != null) {
            words.add(CoreWords.code(p.depth));
        }
        return done(new Tag.Grip(t, by, grip.code(), p.side, p.depth, null, null, info));
    }

    private Reading body() {
        words.add(CoreWords.code(requireNonNull(p.fact)));
        if (p.who == null) {
            return missing(CoreWords.of("phrase.of-whom"));
        }
        words.add(name(p.who));
        if (p.side != null) {
            words.add(CoreWords.code(p.side.code()));
        }
        return done(new Tag.Body(t, p.who, p.fact, p.side, null, info));
    }

    /** The latest grip, or body fact when one was named, that goes on: it ends here. */
    private Reading ending(@Nullable String grip) {
        for (int i = c.record().tags().size() - 1; i >= 0; i--) {
            Tag tag = c.record().tags().get(i);
            if (tag.t().compareTo(t) > 0) {
                continue;
            }
            if (p.fact == null && tag instanceof Tag.Grip g && g.until() == null) {
                boolean meant = (grip == null || grip.equals(g.grip())) && (p.who == null || p.who == g.by());
                if (meant) {
                    words.add(lexicon.grip(g.grip()).map(Grip::name).orElse(g.grip()) + " "
                            + CoreWords.code(requireNonNull(p.ended)));
                    (p.who == null ? inferred : words).add(name(g.by()));
                    return done(new Tag.Grip(g.t(), g.by(), g.grip(), g.hand(), g.depth(), t, p.ended, g.info()));
                }
            }
            if (p.fact != null
                    && tag instanceof Tag.Body b
                    && b.until() == null
                    && b.fact().equals(p.fact)) {
                if (p.who == null || p.who == b.of()) {
                    words.add(CoreWords.of("phrase.over", CoreWords.code(b.fact())));
                    (p.who == null ? inferred : words).add(name(b.of()));
                    return done(new Tag.Body(b.t(), b.of(), b.fact(), b.side(), t, b.info()));
                }
            }
        }
        return missing(CoreWords.of(p.fact == null ? "phrase.no-grip" : "phrase.no-fact"));
    }

    private Reading position(Position position) {
        words.add(position.name());
        Tag.Position tag = placed(position, p.who);
        if (tag == null) {
            return missing(whoQuestion(position));
        }
        if (p.side != null) {
            words.add(CoreWords.code(p.side.code()));
        }
        return done(tag.sided(p.side).caused(p.cause).with(info));
    }

    private static String whoQuestion(Position position) {
        return CoreWords.of(position.guard() ? "phrase.who-guard" : "phrase.who-ahead");
    }

    /** The named athlete plays the guard, or holds the place; without a name the roles stay as they are. */
    private Tag.@Nullable Position placed(Position position, @Nullable Corner named) {
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
            inferred.add(CoreWords.of(guard ? "phrase.plays-guard" : "phrase.ahead", name(subject)));
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
            return missing(CoreWords.of("phrase.who"));
        }
        words.add(name(by));
        if (p.sides.contains(Side.NOT_VISIBLE)) {
            words.add(CoreWords.of("phrase.side-hidden"));
        } else if (!p.sides.isEmpty()) {
            words.add(CoreWords.of(
                    "phrase.own",
                    String.join(
                            ", ",
                            p.sides.stream().map(s -> CoreWords.code(s.code())).toList())));
        }
        Integer reached = p.number;
        Outcome outcome = p.outcome;
        if (reached != null && reached > 4) {
            return missing(CoreWords.of("phrase.how-far"));
        }
        if (outcome == null && (p.target != null || (reached != null && reached == 4))) {
            outcome = Outcome.COMPLETED;
            inferred.add(CoreWords.code("completed"));
        }
        if (reached == null && outcome == Outcome.COMPLETED) {
            reached = 4;
        }
        if (outcome == null && reached != null) {
            int near = PhraseWords.NEAR_FROM.getOrDefault(technique.family(), PhraseWords.NEAR_FROM_OTHERS);
            outcome = reached >= near ? Outcome.NEAR : Outcome.STUFFED;
            inferred.add(CoreWords.code(outcome.code()));
        }
        if (p.outcome != null) {
            words.add(CoreWords.code(p.outcome.code()));
        }
        if (reached != null) {
            String rung =
                    lexicon.family(technique.family()).orElseThrow().ladder().get(reached - 1);
            (p.number == null ? inferred : words).add(rung);
        }
        return effect(technique, by, outcome, reached);
    }

    private Reading effect(Technique technique, Corner by, @Nullable Outcome outcome, @Nullable Integer reached) {
        Position target = p.target;
        boolean completed = outcome == Outcome.COMPLETED;
        boolean submission = technique.family().equals("submission");
        if (target == null && completed && !submission && !technique.to().isEmpty()) {
            target = lexicon.position(technique.to().get(0)).orElseThrow();
            inferred.add(CoreWords.of("phrase.to", target.name()));
        } else if (target != null) {
            words.add(CoreWords.of("phrase.to", target.name()));
        }
        List<Side> sides = p.sides;
        if (p.feinted != null) {
            words.add(CoreWords.of("phrase.pretends", p.feinted.name()));
        }
        if (p.believed != null) {
            words.add(CoreWords.of(p.believed ? "phrase.believed" : "phrase.not-believed"));
        }
        p.checks.forEach(
                (check, met) -> words.add(CoreWords.of(met ? "phrase.met" : "phrase.not-met", CoreWords.code(check))));
        if (p.answer != null) {
            words.add(CoreWords.of("phrase.answered", CoreWords.code(p.answer)));
        }
        Tag.Action action = Tag.Action.of(t, by, technique.code())
                .builder()
                .sides(sides)
                .outcome(outcome)
                .reached(reached)
                .to(target == null ? null : target.code())
                .answer(p.answer)
                .checks(p.checks)
                .target(p.feinted == null ? null : p.feinted.code())
                .believed(p.believed)
                .info(info)
                .build();
        List<Tag> tags = new ArrayList<>();
        tags.add(action);
        if (completed && submission) {
            inferred.add(CoreWords.of("phrase.ends"));
            tags.add(new Tag.End(t, TagInfo.NONE));
        } else if (completed && target != null) {
            tags.add(Arrival.of(t, technique, by, target).caused(p.cause));
        }
        return new Reading(tags, words, inferred, "", List.of());
    }

    /** Who must be meant when nobody is named. */
    private @Nullable Corner actor(Technique technique) {
        Corner guard = c.guard();
        return switch (technique.role()) {
            case GUARD -> guard;
            case TOP -> guard == null ? null : guard.other();
            case HOLDER -> c.holder();
            case UNDER -> c.holder() == null ? null : c.holder().other();
            case ANY -> null;
        };
    }

    private @Nullable Corner who(@Nullable Corner likely) {
        if (p.who == null && likely != null) {
            inferred.add(name(likely));
            return likely;
        }
        return p.who;
    }

    private String name(@Nullable Corner corner) {
        return c.record().athlete(corner).surname();
    }

    private Reading done(Tag tag) {
        return new Reading(List.of(tag), words, inferred, "", List.of());
    }

    private Reading missing(String question) {
        return new Reading(List.of(), words, inferred, question, List.of());
    }
}
