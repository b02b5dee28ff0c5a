package farglass.narration;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Finds the actions that a narration names, by their names and by what else is said for them. */
final class NamedActs {
    /** Without anything behind it what is pulled is guard, and whoever sits plays it. */
    private static final Map<String, String> ALONE =
            Map.of("pulls", "guard-pull", "pulled", "guard-pull", "sits", "sit-guard");

    private static final Set<String> NO_ATTEMPTS = Set.of("grip", "feint");
    /** Words between what is done and by what means. */
    private static final int WITHIN = 7;

    private final List<Word> words;
    private final Clauses clauses;
    private final Lexicon lexicon;
    private final TermFinder terms;
    private final SpokenForms forms;
    private final SpeechWords patterns;
    /** By stretch: the same is asked for outcome, side and what else is named. */
    private final Map<Long, List<NamedAct>> known = new HashMap<>();

    NamedActs(
            List<Word> words,
            Clauses clauses,
            Lexicon lexicon,
            TermFinder terms,
            SpokenForms forms,
            SpeechWords patterns) {
        this.words = words;
        this.clauses = clauses;
        this.lexicon = lexicon;
        this.terms = terms;
        this.forms = forms;
        this.patterns = patterns;
    }

    /** Every action that a sentence names, in its order. */
    List<NamedAct> in(int begin, int end) {
        return known.computeIfAbsent(((long) begin << Integer.SIZE) + end, k -> look(begin, end));
    }

    private List<NamedAct> look(int begin, int end) {
        List<NamedAct> all = new ArrayList<>();
        for (SpokenForms.Found f : forms.in(words, begin, end)) {
            String code = f.family() ? f.code().substring(0, f.code().length() - 1) : f.code();
            all.add(new NamedAct(code, f.family(), f.from(), f.to(), true, true));
        }
        List<Mention> mentions = terms.in(words, begin, end);
        // "knee cut pinned" is a place, not the act whose name it begins with
        all.removeIf(s -> mentions.stream()
                .anyMatch(m -> m.term() instanceof Position
                        && m.from() <= s.from()
                        && s.to() <= m.to()
                        && m.to() - m.from() > s.to() - s.from()));
        for (Mention m : mentions) {
            boolean grip = m.to() + 1 < words.size()
                    && Set.of("grip", "grips").contains(words.get(m.to() + 1).bare());
            if (m.term() instanceof Technique t && !grip && !NO_ATTEMPTS.contains(t.family())) {
                boolean within = all.stream().anyMatch(s -> s.from() <= m.to() && m.from() <= s.to() && !s.family());
                all.removeIf(s -> s.family() && s.from() <= m.to() && m.from() <= s.to());
                if (!within) {
                    all.add(new NamedAct(t.code(), false, m.from(), m.to(), m.exact(), false));
                }
            }
        }
        for (int i = begin; i < end; i++) {
            int at = i;
            boolean alone = ALONE.containsKey(words.get(i).bare())
                    && (words.get(i).pause() != Word.Pause.NONE || i + 1 == words.size())
                    && all.stream().noneMatch(s -> s.from() <= at && at <= s.to());
            if (alone) {
                all.add(new NamedAct(ALONE.getOrDefault(words.get(i).bare(), ""), false, i, i, true, true));
            }
        }
        all.sort(Comparator.comparingInt(NamedAct::from));
        return closer(all);
    }

    /** "takes her down with a foot sweep" is one action: the name counts, done as the verb says. */
    private List<NamedAct> closer(List<NamedAct> all) {
        List<NamedAct> kept = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            NamedAct s = all.get(i);
            NamedAct next = i + 1 < all.size() ? all.get(i + 1) : null;
            boolean one = next != null
                    && s.family()
                    && !next.family()
                    && s.code().equals(lexicon.familyOf(next.code()))
                    && next.from() - s.to() <= WITHIN
                    && patterns.has("means", clauses.bare(s.to() + 1, next.from()));
            if (one && next != null) {
                kept.add(new NamedAct(next.code(), false, s.from(), next.to(), next.exact(), true));
                i++;
            } else {
                kept.add(s);
            }
        }
        return kept;
    }
}
