package farglass.phrase;

import farglass.lexicon.Family;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.Corner;
import farglass.text.CoreWords;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import org.jspecify.annotations.Nullable;

/**
 * Reads phrases such as {@code b knee cut right near}: who, what, side, how far, where it ended, in any order after the
 * first words. Terms are found by the longest alias that fits; what can be inferred is filled and reported.
 */
public final class PhraseReader {
    private static final int LONGEST_ALIAS = 6;
    private static final int COMPLETIONS = 8;

    private final Lexicon lexicon;

    /** Reads phrases in the words of a lexicon. */
    public PhraseReader(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /** What a phrase means at this moment of this match; problems are in the reading. */
    public Reading read(String phrase, Context context) {
        String text = phrase.strip();
        if (text.isEmpty()) {
            return new Reading(List.of(), List.of(), List.of(), "", List.of());
        }
        String[] words = text.split("\\s+");
        Parts exact = new Parts();
        int stopped = takeAll(words, exact, context, false);
        if (stopped == words.length) {
            return new Meaning(exact, context, lexicon).reading();
        }
        // a mistyped term may begin with a word that is a term of its own: slips first, then
        Parts forgiven = new Parts();
        return takeAll(words, forgiven, context, true) == words.length
                ? new Meaning(forgiven, context, lexicon).reading()
                : unknown(words, stopped);
    }

    /** Takes words until one is not understood; gives the number taken. */
    private int takeAll(String[] words, Parts p, Context context, boolean forgiving) {
        int i = 0;
        while (i < words.length) {
            int used = forgiving ? takeSlip(words, i, p) : 0;
            if (used == 0) {
                used = take(words, i, p, context);
            }
            if (used == 0) {
                return i;
            }
            i += used;
        }
        return i;
    }

    /** What stands here, as it is typed or as the English word that it means. */
    private int take(String[] words, int i, Parts p, Context context) {
        int used = takeEnglish(words, i, p, context);
        String english = TypedWords.english(words[i]);
        if (used > 0 || english.equalsIgnoreCase(words[i])) {
            return used;
        }
        String[] meant = words.clone();
        meant[i] = english;
        return takeEnglish(meant, i, p, context);
    }

    private int takeEnglish(String[] words, int i, Parts p, Context context) {
        String w = words[i].toLowerCase(Locale.ROOT);
        if (p.who == null && corner(w, context) != null) {
            p.who = corner(w, context);
            return 1;
        }
        if (w.equals("to") && p.term != null) {
            p.expectTarget = true;
            return 1;
        }
        if (w.equals(PhraseWords.ANSWER) && p.term != null) {
            return takeAnswer(words, i, p);
        }
        int used = takeRung(words, i, p);
        if (used == 0) {
            used = takeFact(words, i, p);
        }
        if (used == 0) {
            used = takeTerm(words, i, p);
        }
        if (used > 0) {
            return used;
        }
        if (w.equals(PhraseWords.GRIP) && p.term == null && i + 1 < words.length) {
            p.grip = true;
            return 1;
        }
        if (PhraseWords.REMARKS.containsKey(w) && p.term == null) {
            p.remark = PhraseWords.REMARKS.get(w);
            takeText(words, i + 1, p, context);
            return words.length - i;
        }
        return takeWord(w, p) ? 1 : 0;
    }

    /** A term mistyped by one slip, two in long words, when no other term is as near and nothing begins like it. */
    private int takeSlip(String[] words, int i, Parts p) {
        for (int n = Math.min(LONGEST_ALIAS, words.length - i); n > 0; n--) {
            String typed = Lexicon.normal(String.join(" ", Arrays.copyOfRange(words, i, i + n)));
            Optional<String> meant =
                    typed.length() < Slip.SHORTEST ? Optional.empty() : Slip.meant(typed, lexicon.words());
            if (meant.isPresent()) {
                String[] corrected = meant.get().split(" ");
                Parts trial = new Parts();
                trial.term = p.term;
                trial.expectTarget = p.expectTarget;
                if (takeTerm(corrected, 0, trial) == corrected.length) {
                    p.term = trial.term;
                    p.meanings = trial.meanings.isEmpty() ? p.meanings : trial.meanings;
                    p.target = trial.target == null ? p.target : trial.target;
                    p.expectTarget = trial.expectTarget;
                    p.slips.add(typed + ": " + meant.get());
                    return n;
                }
            }
        }
        return 0;
    }

    private void takeText(String[] words, int from, Parts p, Context context) {
        int start = from;
        if (p.who == null && start < words.length && corner(words[start].toLowerCase(Locale.ROOT), context) != null) {
            p.who = corner(words[start].toLowerCase(Locale.ROOT), context);
            start++;
        }
        int end = words.length;
        if (end > start && PhraseWords.PUNISHED.containsKey(TypedWords.english(words[end - 1]))) {
            end--;
            p.punished = PhraseWords.PUNISHED.get(TypedWords.english(words[end]));
        }
        int instead = end;
        for (int i = start; i < end; i++) {
            if (TypedWords.english(words[i]).equals(PhraseWords.INSTEAD)) {
                instead = i;
                p.instead = String.join(" ", Arrays.copyOfRange(words, i + 1, end));
                break;
            }
        }
        p.text = String.join(" ", Arrays.copyOfRange(words, start, instead));
    }

    /** {@code answer grip strip}: what the other did. */
    private int takeAnswer(String[] words, int i, Parts p) {
        for (int n = Math.min(LONGEST_ALIAS, words.length - i - 1); n > 0; n--) {
            Optional<String> code = coded(lexicon.answers(), Arrays.copyOfRange(words, i + 1, i + 1 + n));
            if (code.isPresent()) {
                p.answer = code.get();
                return n + 1;
            }
        }
        return 0;
    }

    /** The code that is typed, or whose name is. */
    private static Optional<String> coded(Set<String> codes, String[] words) {
        String typed = Lexicon.normal(String.join(" ", words));
        String code = typed.replace(' ', '-');
        if (codes.contains(code) || Language.current() == Language.ENGLISH) {
            // in English a code is its name, but for the hyphens
            return Optional.of(code).filter(codes::contains);
        }
        return codes.stream()
                .filter(c -> Lexicon.normal(CoreWords.code(c)).equals(typed))
                .findFirst();
    }

    /** A body fact, unless its single word is a term as well. */
    private int takeFact(String[] words, int i, Parts p) {
        if (p.term != null || p.fact != null) {
            return 0;
        }
        for (int n = Math.min(LONGEST_ALIAS, words.length - i); n > 0; n--) {
            String[] typed = Arrays.copyOfRange(words, i, i + n);
            boolean term = !lexicon.lookUp(String.join(" ", typed)).isEmpty();
            Optional<String> code = coded(lexicon.facts(), typed);
            if (code.isPresent() && !term) {
                p.fact = code.get();
                return n;
            }
        }
        return 0;
    }

    private static boolean takeWord(String w, Parts p) {
        Matcher checkpoint = PhraseWords.CHECKPOINT.matcher(w);
        if (checkpoint.matches()) {
            p.checks.put(checkpoint.group(2), checkpoint.group(1).equals("+"));
            return true;
        }
        Matcher both = PhraseWords.SIDE_AND_LEVEL.matcher(w);
        if (both.matches()) {
            return takeWord(both.group(1), p) && takeWord(both.group(2), p);
        }
        if (PhraseWords.SIDES.containsKey(w)) {
            p.side = PhraseWords.SIDES.get(w);
            p.sides.add(p.side);
        } else if (PhraseWords.OUTCOMES.containsKey(w)) {
            p.outcome = PhraseWords.OUTCOMES.get(w);
        } else if (PhraseWords.CAUSES.containsKey(w)) {
            p.cause = PhraseWords.CAUSES.get(w);
        } else if (PhraseWords.CALLS.containsKey(w)) {
            p.call = PhraseWords.CALLS.get(w);
        } else if (PhraseWords.ENDS.containsKey(w)) {
            p.ended = PhraseWords.ENDS.get(w);
        } else if (PhraseWords.BELIEVED.containsKey(w)) {
            p.believed = PhraseWords.BELIEVED.get(w);
        } else if (PhraseWords.DEPTHS.containsKey(w)) {
            p.depth = w;
        } else if (w.matches("[1-9]")) {
            p.number = Integer.parseInt(w);
        } else if (w.equals("?")) {
            p.unsure = true;
        } else if (p.command == null && PhraseWords.COMMANDS.contains(w)) {
            p.command = w;
        } else if ("stop".equals(p.command) && PhraseWords.STOP_REASONS.containsKey(w)) {
            p.reason = PhraseWords.STOP_REASONS.get(w);
        } else {
            return false;
        }
        return true;
    }

    /** How far it got in the words of the family's ladder: {@code past knees}, {@code off balance}. */
    private int takeRung(String[] words, int i, Parts p) {
        if (!(p.term instanceof Technique technique)) {
            return 0;
        }
        Family family = lexicon.family(technique.family()).orElseThrow();
        for (int n = Math.min(LONGEST_ALIAS, words.length - i); n > 0; n--) {
            String typed = bare(String.join(" ", Arrays.copyOfRange(words, i, i + n)));
            for (int rung = 0; rung < family.ladder().size(); rung++) {
                if (family.rung(rung).stream().anyMatch(r -> bare(r).equals(typed))) {
                    p.number = rung + 1;
                    return n;
                }
            }
        }
        return 0;
    }

    private static String bare(String text) {
        return Lexicon.normal(text).replaceAll("\\bthe ", "");
    }

    /** The longest run of words that is a term; after "to", only positions. */
    private int takeTerm(String[] words, int i, Parts p) {
        for (int n = Math.min(LONGEST_ALIAS, words.length - i); n > 0; n--) {
            List<Term> found = lexicon.lookUp(String.join(" ", Arrays.copyOfRange(words, i, i + n)));
            boolean fixed = n == 1 && takeWord(words[i].toLowerCase(Locale.ROOT), new Parts());
            if (found.isEmpty() || fixed) {
                continue;
            }
            Optional<Technique> pretended = found.stream()
                    .filter(Technique.class::isInstance)
                    .map(Technique.class::cast)
                    .findFirst();
            if (p.feints() && p.feinted == null && pretended.isPresent()) {
                p.feinted = pretended.get();
                return n;
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
                p.meanings = found;
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

    private static @Nullable Corner corner(String w, Context context) {
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
        String problem = CoreWords.of("phrase.unknown", String.join(" ", Arrays.copyOfRange(words, at, words.length)));
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
        lexicon.facts().stream()
                .map(Lexicon::normal)
                .filter(w -> w.startsWith(prefix))
                .sorted()
                .forEach(found::add);
        for (List<String> fixed : List.of(
                List.copyOf(PhraseWords.OUTCOMES.keySet()),
                List.copyOf(PhraseWords.SIDES.keySet()),
                List.copyOf(PhraseWords.CALLS.keySet()),
                List.copyOf(PhraseWords.REMARKS.keySet()),
                PhraseWords.COMMANDS)) {
            fixed.stream()
                    .filter(w -> w.length() > 1)
                    .map(TypedWords::written)
                    .filter(w -> w.startsWith(prefix))
                    .distinct()
                    .sorted()
                    .forEach(found::add);
        }
        return found;
    }
}
