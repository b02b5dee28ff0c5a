package farglass.phrase;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.text.Language;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Correcting a tag begins with its phrase: what is written must be read as the same tag. */
class PhraseRoundTripTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static Context context(MatchRecord r, PositionLine line, int index) {
        MatchTime t = r.tags().get(index).t();
        Span here = line.spans().stream()
                .filter(s -> s.tag() < index && s.from().compareTo(t) <= 0)
                .reduce((x, y) -> y)
                .orElse(null);
        return new Context(r, t, here);
    }

    @AfterEach
    void inEnglish() {
        Language.ENGLISH.use();
    }

    @ParameterizedTest
    @EnumSource
    void everyAttemptPlaceAndCallOfTheDemoIsReadAsItIsWritten(Language language) {
        language.use();
        Lexicon lexicon = Lexicon.builtIn();
        PhraseReader reader = new PhraseReader(lexicon);
        List<String> wrong = new ArrayList<>();
        int asked = 0;
        for (MatchRecord r : DemoLibrary.matches(LEXICON, 6)) {
            PositionLine line = PositionLine.of(r, LEXICON);
            for (int i = 0; i < r.tags().size(); i++) {
                Tag tag = r.tags().get(i);
                if ((tag instanceof Tag.Position p && p.position().equals("LCK")) || tag instanceof Tag.Body) {
                    continue;
                }
                String phrase = PhraseWriter.phrase(tag, lexicon);
                Reading reading = reader.read(phrase, context(r, line, i));
                asked++;
                if (!reading.complete() || !same(tag, reading.tags().get(0))) {
                    wrong.add(r.id() + " " + phrase + " -> " + reading.tags() + reading.problem());
                }
            }
        }
        assertThat(asked).isGreaterThan(1500);
        assertThat(wrong).isEmpty();
    }

    private static boolean same(Tag wanted, Tag read) {
        if (wanted instanceof Tag.Action a && read instanceof Tag.Action b) {
            return a.by() == b.by()
                    && a.technique().equals(b.technique())
                    && a.sides().equals(b.sides())
                    && a.outcome() == b.outcome()
                    && java.util.Objects.equals(a.reached(), b.reached())
                    && (a.to() == null || a.to().equals(b.to()));
        }
        if (wanted instanceof Tag.Position a && read instanceof Tag.Position b) {
            return a.position().equals(b.position())
                    && a.holder() == b.holder()
                    && (a.guard() == null || a.guard() == b.guard())
                    && a.side() == b.side()
                    && a.cause() == b.cause();
        }
        if (wanted instanceof Tag.Grip a && read instanceof Tag.Grip b) {
            return a.by() == b.by() && a.grip().equals(b.grip()) && a.hand() == b.hand();
        }
        if (wanted instanceof Tag.Call a && read instanceof Tag.Call b) {
            return a.call() == b.call() && a.who() == b.who() && java.util.Objects.equals(a.value(), b.value());
        }
        return wanted.getClass() == read.getClass();
    }

    /** What an English speaker types is understood as well. */
    @Test
    void englishIsReadInPortuguese() {
        MatchRecord r = DemoLibrary.matches(LEXICON, 6).get(0);
        Context here = context(r, PositionLine.of(r, LEXICON), r.tags().size() - 1);
        Reading english = new PhraseReader(LEXICON).read("b knee cut right near", here);
        Language.PORTUGUESE.use();
        PhraseReader reader = new PhraseReader(Lexicon.builtIn());
        assertThat(reader.read("b knee cut right near", here).tags()).isEqualTo(english.tags());
        assertThat(reader.read("b passagem de joelho cruzado direita quase", here)
                        .tags())
                .isEqualTo(english.tags());
        assertThat(reader.read("b passagem de joelho cruzado direita passou os joelhos", here)
                        .words())
                .contains("passagem de joelho cruzado", "passou os joelhos");
        assertThat(reader.read("erro b postura baixa melhor cabeça alta punido", here)
                        .tags())
                .first()
                .isInstanceOfSatisfying(Tag.Remark.class, m -> {
                    assertThat(m.instead()).isEqualTo("cabeça alta");
                    assertThat(m.punished()).isTrue();
                });
    }

    @Test
    void whereEverybodyIsAfterACompletedAttempt() {
        assertThat(arrival("double-leg", "HFG")).isEqualTo("A on top of B's HFG");
        assertThat(arrival("scissor-sweep", "MNT")).isEqualTo("A holds MNT");
        assertThat(arrival("guard-pull", "LAS")).isEqualTo("B on top of A's LAS");
        assertThat(arrival("guard-recovery", "CLG")).isEqualTo("B on top of A's CLG");
        assertThat(arrival("knee-cut", "SDC")).isEqualTo("A holds SDC");
        assertThat(arrival("hip-escape", "HFG")).isEqualTo("B on top of A's HFG");
        assertThat(arrival("technical-stand-up", "STD")).isEqualTo("STD");
    }

    private static String arrival(String technique, String to) {
        Technique t = LEXICON.technique(technique).orElseThrow();
        Position target = LEXICON.position(to).orElseThrow();
        Tag.Position p = Arrival.of(MatchTime.ZERO, t, Corner.A, target);
        if (p.holder() == null) {
            return p.position();
        }
        return p.guard() == null
                ? p.holder() + " holds " + p.position()
                : p.holder() + " on top of " + p.guard() + "'s " + p.position();
    }
}
