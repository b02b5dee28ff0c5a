package farglass.narration;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads what somebody said over a match, by grammar and lexicon: attempts with who, side and outcome, places, calls,
 * and what is thought of it all. What is taught, wished, foretold, shown again or told of other matches is no attempt.
 */
public final class NarrationReader {
    /** The same said again so soon is the same. */
    private static final long SAME_MS = 14_000;
    /** What is shown again is over after this, if nobody says so before. */
    private static final long AGAIN_MS = 45_000;
    /** Words before an action in which it is denied. */
    private static final int DENIED = 3;
    /** Words before an action in which somebody teaches. */
    private static final int LESSON = 16;
    /** Letters behind an action after which it is foretold. */
    private static final int FORETOLD = 12;

    /** What is shown again was seen so long before at most. */
    private static final long SEEN_MS = 120_000;

    /** Points are called so long after what they are for at most. */
    private static final long SCORED_MS = 20_000;

    /** So soon a name tells whose that was which was named without one. */
    private static final long AT_ONCE_MS = 4000;

    /** So many words more than an action has a sentence that only calls it out. */
    private static final int CALLED_OUT = 3;

    private static final long FOLLOWS_MS = 8000;
    private static final Set<String> LEADING = Set.of("takedown", "sweep", "pass", "reversal");
    private static final Set<String> FOLLOWING = Set.of("pin-advance", "back-take");
    private static final Set<String> SCORING = Set.of("takedown", "sweep", "pass", "pin-advance", "back-take");
    /** In a guard they are of the guard. */
    private static final String HOOKS = "hook-insert";

    private static final double SURE = 0.85;
    private static final double MISHEARD = 0.15;
    private static final double NOBODY = 0.2;
    private static final double UNNAMED = 0.08;
    private static final double FAMILY_ONLY = 0.1;
    /** A sentence that may be of any kind: kept to be read, nobody is asked about it. */
    private static final double ANYTHING = 0.3;
    /** Words of the shortest sentence that is kept for its own sake. */
    private static final int SENTENCE = 4;
    /** The same of one that names a place. */
    private static final int LONG = 10;

    private static final Set<String> MORE = Set.of("again", "another", "second", "third", "reattacks", "back");
    private static final Set<String> NO = Set.of("no", "nope", "not");
    private static final Map<String, Integer> NUMBERS = Map.of("two", 2, "three", 3, "four", 4, "2", 2, "3", 3, "4", 4);

    private final Lexicon lexicon;
    private final TermFinder terms;
    private final SpokenForms forms = new SpokenForms();
    private final SpeechWords patterns;

    /** @param locale of what is said; English is the only one known */
    public NarrationReader(Lexicon lexicon, Locale locale) {
        this.lexicon = lexicon;
        this.terms = new TermFinder(lexicon);
        this.patterns = new SpeechWords(locale);
    }

    /**
     * What a narration of a match says, in its order.
     *
     * @param a, b the two, by whose names, markers and colours they are told apart
     */
    public List<Find> read(List<Cue> cues, MatchAthlete a, MatchAthlete b) {
        return new Reading(Speech.words(cues), new People(a, b)).all();
    }

    /** One narration. */
    private final class Reading {
        private final List<Word> words;
        private final Clauses clauses;
        private final Subjects subjects;
        private final Roles roles;
        private final NamedActs acts;
        private final Outcomes outcomes;
        private final Sides sides;
        private final Taps taps;
        private final Opinions opinions = new Opinions(patterns);
        private final List<Find> finds = new ArrayList<>();
        /** Film time from which on something is shown again; below 0 for the match itself. */
        private long again = -1;

        Reading(List<Word> words, People people) {
            this.words = words;
            this.clauses = new Clauses(words, people);
            this.subjects = new Subjects(words, people, patterns);
            this.roles = new Roles(lexicon);
            this.acts = new NamedActs(words, clauses, lexicon, terms, forms, patterns);
            this.outcomes = new Outcomes(words, clauses, subjects, acts, lexicon, patterns);
            this.sides = new Sides(words, subjects);
            this.taps = new Taps(words, clauses, lexicon, terms, subjects, patterns);
        }

        List<Find> all() {
            int i = 0;
            while (i < words.size()) {
                int end = clauses.end(i, 2);
                sentence(i, end);
                subjects.heard(i, end);
                i = end;
            }
            finds.sort(Comparator.comparingLong(Find::saidMs));
            return List.copyOf(finds);
        }

        private void sentence(int begin, int end) {
            String text = clauses.bare(begin, end);
            long ms = words.get(begin).ms();
            if (again >= 0 && (ms - again > AGAIN_MS || patterns.has("live", text))) {
                again = -1;
            }
            boolean shown = again >= 0 || patterns.has("again", text);
            List<NamedAct> said = acts.in(begin, end);
            int from = begin;
            for (int stop : clauses.thoughts(begin, end)) {
                remark(from, stop);
                from = stop;
            }
            // what was not seen before cannot be shown again
            boolean fresh = again >= 0
                    && !patterns.has("again", text)
                    && !said.isEmpty()
                    && said.stream().noneMatch(s -> seen(s, ms));
            if (fresh) {
                again = -1;
            }
            if (shown && !fresh) {
                again = again < 0 ? ms : again;
            } else {
                said.forEach(s -> act(s, begin, end));
                taps.heard(begin, end, said, finds);
                places(said, begin, end);
                calls(begin, end, text);
            }
        }

        private boolean seen(NamedAct s, long ms) {
            return finds.stream()
                    .anyMatch(f -> f instanceof Find.Act a
                            && ms - a.saidMs() <= SEEN_MS
                            && (a.technique().equals(s.code())
                                    || (s.family() && a.family().equals(s.code()))
                                    || (!s.family()
                                            && a.family().equals(lexicon.familyOf(s.code()))
                                            && a.technique().equals(a.family()))));
        }

        /** Where what is said of an action ends: at the next one, or with the sentence. */
        private int before(NamedAct s, int end) {
            List<NamedAct> next = s.to() + 1 < end ? acts.in(s.to() + 1, end) : List.of();
            return next.isEmpty() ? end : next.get(0).from();
        }

        /** The arm or leg that is said, where it is one that the technique attacks. */
        private @Nullable String limb(NamedAct s, int from, int end) {
            String attacked = lexicon.technique(s.code()).map(Technique::limb).orElse("");
            String said = attacked.isEmpty() ? null : sides.limb(s, from, before(s, end));
            return said != null && said.endsWith("-" + attacked) ? said : null;
        }

        /** Of what is only called out, "Leg drag!", the sentence behind or before may say the side. */
        private @Nullable Side side(NamedAct s, int begin, int from, int end) {
            Side side = sides.of(s, from, before(s, end));
            boolean bare = end - begin - (s.to() - s.from()) <= CALLED_OUT;
            if (side == null && bare && end < words.size()) {
                side = sides.of(s, from, before(s, clauses.end(end, 2)));
            }
            if (side == null && bare && begin > 0) {
                int last = clauses.begin(begin - 1, 1);
                side = acts.in(last, begin).isEmpty() ? sides.of(s, last, end) : null;
            }
            if (side == null && acts.in(begin, end).size() == 1) {
                // "tips her to the right, the tripod sweep": nothing else in the sentence has a side
                side = sides.of(s, begin, end);
            }
            return side;
        }

        /** "The same pass" is the one that was tried last. */
        private NamedAct named(NamedAct s) {
            if (s.family() && patterns.has("same", clauses.bare(s.from(), s.to() + 1))) {
                for (int i = finds.size() - 1; i >= 0; i--) {
                    if (finds.get(i) instanceof Find.Act a && a.family().equals(s.code())) {
                        return new NamedAct(
                                a.technique(), a.technique().equals(a.family()), s.from(), s.to(), s.exact(), false);
                    }
                }
            }
            return s;
        }

        private void act(NamedAct one, int begin, int end) {
            NamedAct s = named(one);
            int from = clauses.begin(s.from(), 1);
            int to = clauses.end(s.to(), 1);
            String near = clauses.bare(from, s.from());
            String clause = clauses.bare(from, to);
            if (none(s, begin, near, clause, clauses.bare(begin, clauses.written() ? to : end))) {
                return;
            }
            String family = s.family() ? s.code() : lexicon.familyOf(s.code());
            long ms = words.get(s.from()).ms();
            boolean another = words.subList(from, s.from()).stream().anyMatch(w -> MORE.contains(w.bare()))
                    || s != one
                    || patterns.has("anew", clauses.bare(from, end))
                    || (s.to() + 1 < to && words.get(s.to() + 1).bare().equals("again"));
            Corner before = another ? before(s.code(), family) : null;
            Subjects.Subject who = subjects.of(begin, s.from(), s.to(), to, family, clauses)
                    .or(follows(family, ms))
                    .or(roles.of(s.code(), family, ms))
                    .or(before);
            if (HOOKS.equals(s.code()) && roles.guards(who.who(), ms)) {
                // of a guard player they are hooks of the guard
                return;
            }
            Outcome outcome = outcomes.of(s, who.who(), near, end);
            double confidence = SURE
                    - (s.exact() ? 0 : MISHEARD)
                    - (who.who() == null ? NOBODY : who.named() ? 0 : UNNAMED)
                    - (s.family() ? FAMILY_ONLY : 0);
            Find.Act act = new Find.Act(
                    ms,
                    who.who(),
                    s.code(),
                    family,
                    side(s, begin, from, end),
                    limb(s, from, end),
                    outcome,
                    confidence,
                    clauses.said(begin, end));
            add(act, another, s.from() > 0 && words.get(s.from() - 1).bare().equals("the"));
        }

        /** Whoever has just swept or passed goes on himself, as in "balloon sweep! She lands in mount". */
        private @Nullable Corner follows(String family, long ms) {
            if (!FOLLOWING.contains(family)) {
                return null;
            }
            for (int i = finds.size() - 1; i >= 0; i--) {
                if (finds.get(i) instanceof Find.Act a) {
                    boolean just = ms - a.saidMs() <= FOLLOWS_MS
                            && LEADING.contains(a.family())
                            && (a.outcome() == null || a.outcome() == Outcome.COMPLETED);
                    return just ? a.by() : null;
                }
            }
            return null;
        }

        /** Who did the same before; null when nobody did. */
        private @Nullable Corner before(String code, String family) {
            for (int i = finds.size() - 1; i >= 0; i--) {
                if (finds.get(i) instanceof Find.Act a
                        && (a.technique().equals(code)
                                || (code.equals(family) && a.family().equals(family)))) {
                    return a.by();
                }
            }
            return null;
        }

        /** Whether something that is named did not happen now. */
        private boolean none(NamedAct s, int begin, String near, String clause, String told) {
            int far = clauses.written() ? begin : Math.max(begin, s.from() - LESSON);
            int named = far;
            // whoever is named again is no longer taught about
            for (int i = far; i < s.from(); i++) {
                named = subjects.first(i, i + 1) != null ? i : named;
            }
            String key = subjects.spokenTo() ? "lesson" : "teaching";
            boolean taught = patterns.has(key, clauses.bare(subjects.spokenTo() ? far : named, s.from()));
            String close = clauses.bare(Math.max(clauses.begin(s.from(), 1), s.from() - DENIED), s.from());
            boolean denied = patterns.has("negation", close) && !patterns.has("stuffed", near);
            return taught
                    || denied
                    || answeredNo(s)
                    || (patterns.has("from", close)
                            && seen(s, words.get(s.from()).ms()))
                    || patterns.has("hypothetical", near)
                    || patterns.has("conditional", near)
                    || patterns.has("elsewhere", told)
                    || patterns.has("future", near)
                    || patterns.first("future", clause) > near.length() + FORETOLD;
        }

        /** "Guillotine on the way? No." */
        private boolean answeredNo(NamedAct s) {
            int end = clauses.end(s.to(), 2);
            return end < words.size()
                    && clauses.end(s.to(), 1) == end
                    && words.get(end - 1).said().endsWith("?")
                    && NO.contains(words.get(end).bare());
        }

        /** The same said again soon adds what was not known. */
        private void add(Find.Act a, boolean another, boolean known) {
            for (int i = finds.size() - 1; i >= 0 && !another; i--) {
                if (finds.get(i) instanceof Find.Act b
                        && a.saidMs() - b.saidMs() <= SAME_MS
                        && (same(a, b, known) || named(a, b))
                        && !(failed(b) && a.outcome() == Outcome.COMPLETED)) {
                    boolean surer = named(a, b);
                    boolean closer =
                            b.technique().equals(b.family()) && !a.technique().equals(a.family());
                    finds.set(
                            i,
                            new Find.Act(
                                    b.saidMs(),
                                    b.by() == null || (surer && a.by() != null) ? a.by() : b.by(),
                                    closer ? a.technique() : b.technique(),
                                    b.family(),
                                    b.side() == null ? a.side() : b.side(),
                                    b.limb() == null ? a.limb() : b.limb(),
                                    a.outcome() == null ? b.outcome() : a.outcome(),
                                    Math.max(a.confidence(), b.confidence()),
                                    b.sentence()));
                    roles.act((Find.Act) finds.get(i));
                    return;
                }
            }
            finds.add(a);
            roles.act(a);
        }

        /** Whether it came to nothing: what works after that was tried twice. */
        private static boolean failed(Find.Act a) {
            return a.outcome() == Outcome.STUFFED
                    || a.outcome() == Outcome.COUNTERED
                    || a.outcome() == Outcome.ABANDONED;
        }

        /** "Triangle! Brisa goes for the triangle": the name says whose it was. */
        private static boolean named(Find.Act a, Find.Act b) {
            boolean soon = a.sentence().equals(b.sentence()) || a.saidMs() - b.saidMs() <= AT_ONCE_MS;
            return soon && a.technique().equals(b.technique()) && a.confidence() > b.confidence();
        }

        /** @param known whether it is spoken of as something that was named already */
        private static boolean same(Find.Act a, Find.Act b, boolean known) {
            boolean who = (known && a.technique().equals(b.technique()))
                    || a.by() == null
                    || b.by() == null
                    || a.by() == b.by();
            boolean what = a.technique().equals(b.technique())
                    || (a.family().equals(b.family())
                            && (a.technique().equals(a.family())
                                    || b.technique().equals(b.family())));
            return who && what;
        }

        private void places(List<NamedAct> said, int begin, int end) {
            for (Mention m : terms.in(words, begin, end)) {
                String before = clauses.bare(clauses.begin(m.from(), 1), m.from());
                boolean from = m.from() > begin
                        && Set.of("from", "of", "out", "past")
                                .contains(words.get(m.from() - 1).bare());
                boolean acts = said.stream().anyMatch(s -> s.from() <= m.to() && m.from() <= s.to());
                boolean told = patterns.has("teaching", clauses.bare(begin, m.from()))
                        || patterns.has("hypothetical", before)
                        || patterns.has("future", before)
                        || patterns.has("elsewhere", clauses.bare(begin, end))
                        || patterns.has("negation", before)
                        || patterns.has("tried", before);
                if (m.term() instanceof Position p && !from && !acts && !told) {
                    long ms = words.get(m.from()).ms();
                    Subjects.Subject who = subjects.of(begin, m.from(), m.to(), clauses.end(m.to(), 1), "", clauses)
                            .or(roles.in(p, ms));
                    if (p.guard() && who.who() != null && above(m.to(), end)) {
                        who = new Subjects.Subject(who.who().other(), who.named(), who.firm());
                    }
                    roles.place(p, who.who(), ms);
                    double confidence =
                            SURE - (m.exact() ? 0 : MISHEARD) - (who.who() == null ? NOBODY : UNNAMED) - FAMILY_ONLY;
                    finds.add(new Find.Place(ms, who.who(), p.code(), confidence, clauses.said(begin, end)));
                }
            }
        }

        /** "Half guard top": whoever is named does not play it. */
        private boolean above(int to, int end) {
            int stop = Math.min(end, to + 3);
            return words.get(to).pause() == Word.Pause.NONE && patterns.first("onTop", clauses.bare(to + 1, stop)) >= 0;
        }

        private void calls(int begin, int end, String text) {
            if (patterns.has("teaching", text)
                    || patterns.has("hypothetical", text)
                    || patterns.has("elsewhere", text)) {
                return;
            }
            String said = clauses.said(begin, end);
            long ms = words.get(begin).ms();
            Corner who = awarded(begin, end);
            String number = patterns.group("points", text);
            if (!number.isEmpty()) {
                finds.add(new Find.Call(ms, CallKind.POINTS, who, NUMBERS.get(number), SURE - MISHEARD, said));
            } else if (patterns.has("penalty", text)) {
                finds.add(new Find.Call(ms, CallKind.PENALTY, who, null, SURE - MISHEARD, said));
            } else if (patterns.has("advantage", text) && !patterns.has("negation", text)) {
                finds.add(new Find.Call(ms, CallKind.ADVANTAGE, who, null, SURE - MISHEARD, said));
            }
            if (patterns.has("stop", text)) {
                finds.add(new Find.Stop(ms, SURE - MISHEARD, said));
            }
        }

        /** Who did last what brings points; null when nobody did just now. */
        private @Nullable Corner scorer(long ms) {
            for (int i = finds.size() - 1; i >= 0; i--) {
                if (finds.get(i) instanceof Find.Act a
                        && a.outcome() == Outcome.COMPLETED
                        && SCORING.contains(a.family())
                        && ms - a.saidMs() <= SCORED_MS) {
                    return a.by();
                }
            }
            return null;
        }

        /** Who is named in a sentence about a call; else who did what it is for, or was spoken of last. */
        private @Nullable Corner awarded(int begin, int end) {
            Corner named = subjects.named(begin, end, Set.of("for", "to", "against"));
            if (named == null) {
                named = scorer(words.get(begin).ms());
            }
            return named == null ? subjects.last() : named;
        }

        /** What tells of no action is kept even if nobody can say what kind of remark it is. */
        private void remark(int begin, int end) {
            String text = clauses.bare(begin, end);
            RemarkKind kind = opinions.of(text);
            if (kind != null || (again < 0 && toBeRead(begin, end, text))) {
                finds.add(new Find.Remark(
                        words.get(begin).ms(),
                        kind == null ? RemarkKind.NOTE : kind,
                        subjects.last(),
                        kind == null ? ANYTHING : SURE - MISHEARD,
                        clauses.said(begin, end)));
            }
        }

        private boolean toBeRead(int begin, int end, String text) {
            if (end - begin < SENTENCE || !acts.in(begin, end).isEmpty() || marks(text)) {
                return false;
            }
            return end - begin >= LONG
                    || terms.in(words, begin, end).stream().noneMatch(m -> m.term() instanceof Position);
        }

        /** Whether a sentence only calls a score or a stop, or says where the film goes on. */
        private boolean marks(String text) {
            return Stream.of("points", "penalty", "advantage", "stop", "again", "live", "intro")
                    .anyMatch(key -> patterns.has(key, text));
        }
    }
}
