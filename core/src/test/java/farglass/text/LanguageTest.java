package farglass.text;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.ask.Asked;
import farglass.conduct.ClauseReader;
import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.match.Cause;
import farglass.match.Coded;
import farglass.match.MatchAthlete;
import farglass.match.Method;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import farglass.narration.Cue;
import farglass.narration.NarrationReader;
import farglass.tendency.Filter;
import farglass.time.Dates;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class LanguageTest {
    private static final Lexicon ENGLISH = Lexicon.builtIn();

    @AfterEach
    void inEnglish() {
        Language.ENGLISH.use();
    }

    @Test
    void anotherLanguageIsAnsweredInEnglish() {
        Locale.setDefault(Locale.FRANCE);
        assertThat(Language.current()).isEqualTo(Language.ENGLISH);
        assertThat(CoreWords.code("near")).isEqualTo("near");
        Locale.setDefault(Locale.forLanguageTag("pt-PT"));
        assertThat(CoreWords.code("near")).isEqualTo("quase");
        assertThat(Language.named("pt-BR")).isEqualTo(Language.PORTUGUESE);
        assertThat(Language.named("xx")).isEqualTo(Language.ENGLISH);
        assertThat(Language.named("")).isEqualTo(Language.ENGLISH);
    }

    @Test
    void datesAndNumbersFollow() {
        Language.PORTUGUESE.use();
        assertThat(Dates.words(LocalDate.of(2031, 5, 3))).isEqualTo("3 mai. 2031");
        assertThat(CoreWords.of("prior.expected", String.format(Language.locale(), "%.1f", 1.5)))
                .isEqualTo("1,5 esperadas");
    }

    /** A house name that nobody knows stays as it is. */
    @Test
    void whatShipsIsNamedInTheLanguage() {
        Language.PORTUGUESE.use();
        assertThat(CoreWords.name("points, gi")).isEqualTo("pontos, com kimono");
        assertThat(CoreWords.name("our rules")).isEqualTo("our rules");
        assertThat(CoreWords.code("elbows-in")).isEqualTo("elbows in");
    }

    @Test
    void everyCodeHasItsName() {
        Language.PORTUGUESE.use();
        Stream<String> codes = Stream.of(
                        Stream.<Coded>of(Side.values()),
                        Stream.<Coded>of(Outcome.values()),
                        Stream.<Coded>of(Cause.values()),
                        Stream.<Coded>of(Method.values()),
                        Stream.<Coded>of(RemarkKind.values()))
                .flatMap(s -> s)
                .map(Coded::code);
        Stream<String> lexicon = Stream.of(
                        ENGLISH.facts().stream(),
                        ENGLISH.answers().stream(),
                        ENGLISH.families().stream().map(f -> f.code()))
                .flatMap(s -> s);
        List<String> untold = Stream.concat(codes, lexicon)
                .filter(c -> CoreWords.code(c).equals(c.replace('-', ' ')))
                .filter(c -> !List.of("frame", "sprawl").contains(c))
                .toList();
        assertThat(untold).isEmpty();
    }

    @Test
    void everyTermHasItsPortugueseName() {
        Language.PORTUGUESE.use();
        Lexicon lexicon = Lexicon.builtIn();
        Stream.of(lexicon.positions(), lexicon.techniques(), lexicon.grips())
                .flatMap(java.util.Collection::stream)
                .forEach(t -> {
                    assertThat(t.names()).as(t.code()).containsKey("pt");
                    assertThat(t.name()).isEqualTo(t.names().get("pt"));
                    assertThat(lexicon.lookUp(t.name())).as(t.name()).contains(t);
                });
        ENGLISH.techniques()
                .forEach(t -> assertThat(lexicon.lookUp(t.name()))
                        .as("English is understood: " + t.name())
                        .anyMatch(x -> x.code().equals(t.code())));
        assertThat(lexicon.family("sweep").orElseThrow().ladder()).contains("desequilíbrio");
    }

    /** The name of a shipped term may be another word for one of the team's; else the team's words would be lost. */
    @Test
    void ofTheTeamWhatIsAllowedInEnglishIsAllowedHere() {
        Grip house = new Grip("our-grip", "our grip", Map.of(), List.of("cross collar"));
        for (Language language : Language.values()) {
            language.use();
            Lexicon lexicon = Lexicon.builtIn().with(house);
            assertThat(lexicon.lookUp("cross collar"))
                    .as("the proper name goes before")
                    .first()
                    .satisfies(t -> assertThat(t.code()).isEqualTo("collar-cross"));
            assertThat(lexicon.lookUp("cross collar")).contains(house);
        }
    }

    @Test
    void aNarrationInEnglishIsReadInPortugueseAsInEnglish() {
        String said = "Brisa goes for the knee cutt and she passes. Odile tries a triangel but it is defended.";
        List<String> english = acts(said);
        Language.PORTUGUESE.use();
        assertThat(acts(said)).isEqualTo(english).isNotEmpty();
    }

    private static MatchAthlete athlete(String name) {
        return MatchAthlete.of(name.toLowerCase(Locale.ROOT).replace(' ', '-'), name, null, null);
    }

    private static List<String> acts(String said) {
        return new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH)
                .read(List.of(new Cue(0, 9000, said)), athlete("Brisa Tolendt"), athlete("Odile Marrowen")).stream()
                        .map(Object::toString)
                        .toList();
    }

    @Test
    void aQuestionIsUnderstoodInPortuguese() {
        Asked english = ask("passes to the left in no-gi when behind");
        Language.PORTUGUESE.use();
        Asked asked = ask("passagens para a esquerda sem kimono quando atrás");
        assertThat(asked.notUnderstood()).isEmpty();
        assertThat(asked.side()).isEqualTo(english.side());
        assertThat(asked.techniques()).containsExactlyInAnyOrderElementsOf(english.techniques());
        assertThat(asked.filter()).isEqualTo(english.filter());
        assertThat(ask("quanto tempo meia-guarda").measure()).isEqualTo(Asked.Measure.LASTS);
        assertThat(ask("raspagem do laço contra Brisa desde 2029").filter().from())
                .isEqualTo(LocalDate.of(2029, 1, 1));
    }

    private static Asked ask(String text) {
        return Asked.read(text, Lexicon.builtIn(), Map.of("brisa", "Brisa Tolendt"), Filter.ALL);
    }

    @Test
    void aClauseIsUnderstoodInPortuguese() {
        for (String[] same : List.of(
                new String[] {"collar grip within 10 s of every restart", "pegada de gola em até 10 s de cada reinício"
                },
                new String[] {
                    "their closed guard at most 20 s at a time", "guarda fechada deles no máximo 20 s de cada vez"
                },
                new String[] {"at least 2 knee cut", "ao menos duas passagem de joelho cruzado"},
                new String[] {"no guard pull", "nunca puxada para a guarda"},
                new String[] {"no pass with their sleeve grip", "nunca passagem de guarda com pegada de manga deles"
                })) {
            Language.ENGLISH.use();
            var english = ClauseReader.read(same[0], Lexicon.builtIn());
            assertThat(english.problem()).isNull();
            Language.PORTUGUESE.use();
            var said = ClauseReader.read(same[1], Lexicon.builtIn());
            assertThat(said.problem()).as(same[1]).isNull();
            assertThat(said.measure()).as(same[1]).hasSameClassAs(english.measure());
            assertThat(without(said.measure().toString()))
                    .isEqualTo(without(english.measure().toString()));
        }
    }

    /** What was typed is kept beside what it means. */
    private static List<String> without(String measure) {
        return Stream.of(measure.replaceAll("words=[^\\]]*", "").split("[^A-Za-z0-9-]+"))
                .sorted()
                .toList();
    }
}
