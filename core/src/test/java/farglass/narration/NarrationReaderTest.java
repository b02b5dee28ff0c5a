package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.RemarkKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NarrationReaderTest {
    private static final NarrationReader READER = new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH);
    private static final MatchAthlete ANSA = new MatchAthlete("a", "Ansa Kellivar", "blue gi", "#2850be", Map.of());
    private static final MatchAthlete BRISA = new MatchAthlete("b", "Brisa Tolendt", "white gi", "#f5f5f5", Map.of());

    /** Lines a few seconds apart. */
    private static List<Find> read(String... lines) {
        List<Cue> cues = new ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            cues.add(new Cue(20_000L * i, 20_000L * i + 6000, lines[i]));
        }
        return READER.read(cues, ANSA, BRISA);
    }

    private static List<Find.Act> acts(String... lines) {
        return read(lines).stream()
                .filter(Find.Act.class::isInstance)
                .map(Find.Act.class::cast)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "Tolendt pulls guard. | guard-pull | B | - | COMPLETED",
                "The competitor in blue goes for the knee slice to the left. | knee-cut | A | LEFT | -",
                "Ansa tries the toreando but Brisa blocks it. | toreando | A | - | STUFFED",
                "Ansa blocks the lasso sweep. | lasso-sweep | B | - | STUFFED",
                "Omoplata from Brisa, nearly! | omoplata | B | - | NEAR",
                "Ansa gets swept by Brisa. | sweep | B | - | COMPLETED",
                "Brisa's triangle is locked, Ansa taps. | triangle | B | - | COMPLETED",
                "Ansa takes the back. | back-take | A | - | COMPLETED",
                "Her opponent Brisa hits the armbar. | armbar | B | - | COMPLETED",
                "Ansa attempts a darce, gives it up. | darce | A | - | ABANDONED",
                "ansa shoots a double leg and gets it | double-leg | A | - | COMPLETED",
                "breeza goes for the omo plata on the right side | omoplata | B | RIGHT | -",
            })
    void whoDidWhatAndHowItWent(String said, String technique, Corner who, String side, String outcome) {
        assertThat(acts(said)).singleElement().satisfies(a -> {
            assertThat(a.technique()).isEqualTo(technique);
            assertThat(a.by()).isEqualTo(who);
            assertThat(a.side() == null ? null : a.side().name()).isEqualTo(side);
            assertThat(a.outcome() == null ? null : a.outcome().name()).isEqualTo(outcome);
            assertThat(a.sentence()).isEqualTo(said);
            assertThat(a.confidence()).isBetween(0.3, 0.95);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "What you want to do here is finish the triangle.",
                "If you get the underhook you can go for the half guard sweep.",
                "Brisa should have gone for the armbar.",
                "Later in the match Ansa will take the back.",
                "Last year Brisa finished her with a triangle.",
                "Brisa likes to sweep to her left.",
                "There was no triangle.",
                "Ansa fakes the toreando.",
                "Brisa has the kimura grip.",
                "Watch out for the guillotine.",
                "Nobody has passed Brisa's guard until this match."
            })
    void whatIsTaughtWishedForetoldOrLongAgoIsNoAttempt(String said) {
        assertThat(acts(said)).isEmpty();
    }

    @Test
    void whatIsShownAgainIsNotSeenTwice() {
        assertThat(acts(
                        "Ansa hits the scissor sweep.",
                        "Let's watch that again.",
                        "Here she gets the grip and there is the scissor sweep.",
                        "Okay, back to the match. Brisa pulls guard."))
                .extracting(Find.Act::technique)
                .containsExactly("scissor-sweep", "guard-pull");
    }

    @Test
    void whatIsNoActIsKeptToBeRead() {
        List<Find> finds = read(
                "Welcome to hall two everybody.",
                "Ansa has the face of a gambler tonight.",
                "Brisa in half guard.",
                "Ansa hits the scissor sweep.",
                "Her corner shouts numbers at her.");
        assertThat(finds)
                .filteredOn(Find.Remark.class::isInstance)
                .extracting(Find::sentence, Find::confidence)
                .containsExactly(
                        tuple("Ansa has the face of a gambler tonight.", 0.3),
                        tuple("Her corner shouts numbers at her.", 0.3));
    }

    @Test
    void aRunOfWordsWithoutPointsHoldsSeveralThoughts() {
        assertThat(
                        read(
                                "ansa is smart about this one she keeps one leg back brisa has to work for every grip she gets"))
                .filteredOn(Find.Remark.class::isInstance)
                .extracting(Find::sentence)
                .containsExactly(
                        "ansa is smart about this one",
                        "she keeps one leg back",
                        "brisa has to work for every grip she gets");
    }

    @Test
    void aTapEndsTheHoldThatWasNamedLast() {
        assertThat(acts("Brisa has the kimura grip and walks around the head.", "That hurts, Ansa taps."))
                .singleElement()
                .satisfies(a -> {
                    assertThat(a.technique()).isEqualTo("kimura");
                    assertThat(a.by()).isEqualTo(Corner.B);
                    assertThat(a.outcome()).isEqualTo(farglass.match.Outcome.COMPLETED);
                });
        assertThat(acts("Ansa goes for the armbar.", "The arm is straight now.", "Brisa taps."))
                .extracting(Find.Act::technique, Find.Act::outcome)
                .containsExactly(tuple("armbar", farglass.match.Outcome.COMPLETED));
        assertThat(acts("Brisa has the kimura grip.", "Ansa does not tap.")).isEmpty();
    }

    @Test
    void theSameSaidAgainSoonIsOneAndSaysMore() {
        List<Cue> cues = List.of(
                new Cue(0, 2000, "Armbar!"),
                new Cue(3000, 5000, "The armbar is on,"),
                new Cue(5000, 7000, "Ansa with the armbar, Brisa taps!"));
        assertThat(READER.read(cues, ANSA, BRISA))
                .filteredOn(Find.Act.class::isInstance)
                .singleElement()
                .satisfies(f -> {
                    Find.Act a = (Find.Act) f;
                    assertThat(a.saidMs()).isLessThan(2000);
                    assertThat(a.by()).isEqualTo(Corner.A);
                    assertThat(a.outcome()).isEqualTo(farglass.match.Outcome.COMPLETED);
                });
    }

    @Test
    void aCoachSpeaksToOneOfThem() {
        assertThat(acts(
                        "Okay Ansa, so you start well.",
                        "You pull guard and you get the lasso.",
                        "She passes with the long step.",
                        "She catches you with the armbar and you tap."))
                .extracting(Find.Act::technique, Find.Act::by)
                .containsExactly(
                        org.assertj.core.api.Assertions.tuple("guard-pull", Corner.A),
                        org.assertj.core.api.Assertions.tuple("long-step", Corner.B),
                        org.assertj.core.api.Assertions.tuple("armbar", Corner.B));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "That was a mistake by Brisa. | ERROR",
                "Ansa should have framed with the elbow. | ERROR",
                "Beautiful timing. | PRAISE",
                "She always goes to the left side. | PREFERENCE",
                "Whenever Ansa posts the hand, she attacks. | TRIGGER",
                "Why does she not stand up? I wonder. | QUESTION",
                "She turns because the hook is gone. | NOTE"
            })
    void remarksKeepTheirSentence(String said, RemarkKind kind) {
        assertThat(read(said)).filteredOn(Find.Remark.class::isInstance).anySatisfy(f -> {
            assertThat(((Find.Remark) f).kind()).isEqualTo(kind);
            assertThat(said).contains(f.sentence());
        });
    }

    @Test
    void callsAndStopsAreTold() {
        List<Find> all = read("Two points for Tolendt.", "An advantage for Ansa.", "They are out of bounds.");
        assertThat(all)
                .anySatisfy(f -> assertThat(f).isInstanceOfSatisfying(Find.Call.class, c -> {
                    assertThat(c.call()).isEqualTo(CallKind.POINTS);
                    assertThat(c.value()).isEqualTo(2);
                    assertThat(c.who()).isEqualTo(Corner.B);
                }))
                .anySatisfy(f -> assertThat(f).isInstanceOfSatisfying(Find.Call.class, c -> {
                    assertThat(c.call()).isEqualTo(CallKind.ADVANTAGE);
                    assertThat(c.who()).isEqualTo(Corner.A);
                }))
                .anyMatch(Find.Stop.class::isInstance);
    }

    @Test
    void linesThatAMachineWroteTwiceAreReadOnce() {
        List<Cue> rolling = List.of(
                new Cue(0, 2000, "so ansa goes for the"),
                new Cue(2000, 4000, "so ansa goes for the\ntriangle from closed guard and"),
                new Cue(4000, 6000, "triangle from closed guard and\nshe gets it"));
        assertThat(Speech.words(rolling))
                .extracting(Word::bare)
                .containsExactly(
                        "so",
                        "ansa",
                        "goes",
                        "for",
                        "the",
                        "triangle",
                        "from",
                        "closed",
                        "guard",
                        "and",
                        "she",
                        "gets",
                        "it");
        assertThat(READER.read(rolling, ANSA, BRISA))
                .filteredOn(Find.Act.class::isInstance)
                .singleElement()
                .satisfies(f -> assertThat(f.saidMs()).isBetween(2000L, 2600L));
    }

    @ParameterizedTest
    @CsvSource({"deal a riva, DLR", "de la reeva, DLR", "halfguard, HFG", "omo plata, omoplata", "torreando, toreando"})
    void namesAreKnownHoweverTheyWereHeard(String said, String code) {
        List<Word> words = Speech.words(List.of(new Cue(0, 1000, said)));
        assertThat(new TermFinder(Lexicon.builtIn()).in(words, 0, words.size()))
                .singleElement()
                .satisfies(m -> assertThat(m.term().code()).isEqualTo(code));
    }

    @Test
    void everydayWordsAreNoNames() {
        List<Word> words = Speech.words(List.of(new Cue(
                0,
                9000,
                "and she is back on her feet now, at half speed, both standing, going for the other side again")));
        assertThat(new TermFinder(Lexicon.builtIn()).in(words, 0, words.size())).isEmpty();
    }
}
