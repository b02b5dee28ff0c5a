package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Region.Lead;
import farglass.matchup.solve.Region.Part;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntentReaderTest {
    private static final MeetingWriter WRITER = new MeetingWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa");
    private static MeetingSolution solved;
    private static IntentReader reader;

    @BeforeAll
    static void solve() {
        solved = Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
        reader = WRITER.reader(solved);
    }

    private static List<String> said(String text) {
        return reader.read(text).stream().map(WRITER.own()::sentence).toList();
    }

    @Test
    void whatTheProgramSaysItReadsAsItMeantIt() {
        List<Decisions.Valued> all = Decisions.of(solved).valued();
        assertThat(all).hasSizeGreaterThan(2);
        for (Decisions.Valued v : all) {
            Decision d = v.decision();
            String sentence = WRITER.decisions().sentence(d);
            assertThat(reader.read(sentence)).as(sentence).singleElement().satisfies(i -> {
                assertThat(i.unvalued()).isNull();
                Decision read = i.decisions().get(0);
                assertThat(read.option()).isEqualTo(d.option());
                assertThat(read.leads()).isEqualTo(d.leads());
                assertThat(read.parts()).isEqualTo(d.parts());
                assertThat(read.places()).containsExactlyInAnyOrderElementsOf(d.places());
            });
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "from half guard underhook sweep | From half guard: underhook sweep.",
                "half guard sweep | Half guard sweep, wherever it comes up.",
                "in their half guard back take, when behind | In Brisa's half guard: back take, when behind.",
                "Brisa's half guard: back take | In Brisa's half guard: back take.",
                "when behind, back take in brisa's half guard | In Brisa's half guard: back take, when behind.",
                "half guard: half guard sweep unless ahead | From half guard: half guard sweep, unless ahead.",
                "pull guard early | Guard pull, wherever it comes up, in the first half.",
                "pull guard until the last two minutes | Guard pull, wherever it comes up, until the last two minutes.",
                "don't pull guard | Never: guard pull.",
                "when ahead hold side control | When ahead, in side control: keep it and slow it down until the first call.",
            })
    void sentencesAreReadAsACoachMeansThem(String typed, String read) {
        assertThat(said(typed)).containsExactly(read);
    }

    @Test
    void oneSentenceMaySayTwoThings() {
        assertThat(said("from half guard underhook sweep, never knee cut"))
                .containsExactly("From half guard: underhook sweep.", "Never: knee cut.");
        assertThat(said("sweep from half guard, then knee cut"))
                .hasSize(2)
                .last()
                .isEqualTo("Knee cut, wherever it comes up.");
    }

    @Test
    void aConditionThatFollowsAnotherHoldsForItAlone() {
        List<Intent> all = reader.read("when behind: knee cut; when ahead: hold side control, in the last two minutes");
        assertThat(all).hasSize(2);
        assertThat(all.get(0).decisions().get(0).leads()).isEqualTo(Set.of(Lead.BEHIND));
        assertThat(all.get(1).decisions().get(0).leads()).isEqualTo(Set.of(Lead.AHEAD));
        assertThat(all.get(1).decisions().get(0).parts()).isEqualTo(Set.of(Part.LAST));
    }

    @Test
    void neverInAPlaceBarsItThereOnly() {
        assertThat(reader.read("never knee cut in their half guard"))
                .singleElement()
                .satisfies(i -> {
                    assertThat(i.never()).isTrue();
                    assertThat(i.barred()).extracting(k -> k.from()).containsOnly(ModelState.of("HFG", 1));
                });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "stay calm | NO_ACTION",
                "never accept half guard | NO_ACTION",
                "rubber guard: omoplata | HARDLY_SHOWN",
                "from mount armbar | HARDLY_SHOWN",
                "from mount guard pull | NEVER_SEEN",
                "from K guard back take | NO_PLACE",
            })
    void whatFilmCannotValueSaysWhy(String typed, Intent.Unvalued why) {
        assertThat(reader.read(typed))
                .singleElement()
                .extracting(Intent::unvalued)
                .isEqualTo(why);
    }
}
