package farglass.scout;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.simulate.DemoLibrary;
import farglass.simulate.Style;
import farglass.stats.Grade;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.tendency.Sequence;
import farglass.tendency.Sequences;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ScoutingReportTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LibraryIndex INDEX = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
    private static final ReportWriter WRITER = new ReportWriter(Locale.ENGLISH);

    private static Profile profile(String who) {
        return Profile.of(INDEX, who, Filter.ALL, 1);
    }

    /** As it would be read aloud, a line per sentence. */
    private static String text(ScoutingReport r) {
        StringBuilder text = new StringBuilder();
        for (ScoutingReport.Part p : r.parts()) {
            text.append(WRITER.heading(p.heading())).append('\n');
            p.sentences().forEach(s -> text.append("  ").append(WRITER.text(s)).append('\n'));
        }
        text.append("Dangers\n");
        r.dangers()
                .forEach(
                        e -> text.append("  ").append(WRITER.text(e.sentence())).append('\n'));
        text.append("Openings\n");
        r.openings()
                .forEach(
                        e -> text.append("  ").append(WRITER.text(e.sentence())).append('\n'));
        return text.toString();
    }

    private static String golden(String who) throws Exception {
        try (InputStream in = ScoutingReportTest.class.getResourceAsStream(who + ".txt")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"brisa-tolendt", "odile-marrowen", "juno-fastrel"})
    void readsAsItWasReadAloud(String who) throws Exception {
        assertThat(text(ScoutingReport.of(profile(who)))).isEqualTo(golden(who));
    }

    @ParameterizedTest
    @ValueSource(strings = {"brisa-tolendt", "odile-marrowen", "juno-fastrel", "ansa-kellivar"})
    void everySentenceHasItsClaimsAndItsFilm(String who) {
        Profile p = profile(who);
        ScoutingReport r = ScoutingReport.of(p);
        assertThat(r.sentences()).extracting(Sentence::id).doesNotHaveDuplicates();
        assertThat(r.parts()).extracting(ScoutingReport.Part::heading).isSorted();
        assertThat(r.parts()).allSatisfy(part -> assertThat(part.sentences()).hasSizeBetween(1, 4));
        for (Sentence s : r.sentences()) {
            assertThat(WRITER.text(s)).endsWith(".").doesNotContain("{", "null", "NaN", "?");
            if (!s.id().startsWith("unknown.") && s.main().isPresent()) {
                assertThat(s.tags()).as(s.id()).isNotEmpty();
            }
        }
        assertThat(r.dangers())
                .hasSizeLessThanOrEqualTo(5)
                .isSortedAccordingTo((a, b) -> Double.compare(b.worth(), a.worth()));
    }

    @Test
    void theStoriesThatWerePlantedAreTold() {
        for (Style s : List.of(DemoLibrary.ansa(), DemoLibrary.brisa(), DemoLibrary.odile(), DemoLibrary.juno())) {
            Profile p = profile(s.id());
            List<Sequence> first =
                    Sequences.of(p.evidence(), 1).stream().limit(5).toList();
            assertThat(s.sequences()).hasSize(2);
            assertThat(s.sequences().stream().filter(planted -> first.stream().anyMatch(f -> holdsTwo(f, planted))))
                    .as(s.id() + ": " + first.stream().map(Sequence::symbols).toList())
                    .isNotEmpty();
        }
        List<Claim> pairs = profile("juno-fastrel")
                .page(Question.REACTIONS)
                .sections()
                .get(0)
                .claims();
        assertThat(pairs.get(0).id()).isEqualTo("dilemma.single-leg.double-leg");
        String juno = text(ScoutingReport.of(profile("juno-fastrel")));
        assertThat(juno).contains("Now goes more for the body lock pass").contains("head down on the way in");
    }

    /** Whether two neighbours of a planted sequence stand in one that was found. */
    private static boolean holdsTwo(Sequence found, List<String> planted) {
        for (int i = 0; i + 1 < planted.size(); i++) {
            int a = found.symbols().indexOf("self " + planted.get(i));
            int b = found.symbols().lastIndexOf("self " + planted.get(i + 1));
            if (a >= 0 && b > a) {
                return true;
            }
        }
        return false;
    }

    @Test
    void aFirstMatchSaysThatAllIsEarly() {
        LibraryIndex one =
                LibraryIndex.of(List.of(INDEX.of("brisa-tolendt").get(0).record()), LEXICON);
        ScoutingReport r = ScoutingReport.of(Profile.of(one, "brisa-tolendt", Filter.ALL, 1));
        assertThat(text(r)).contains("Only 1 match so far: all of this is early.");
        assertThat(r.sentences()).allSatisfy(s -> assertThat(s.grade()).isEqualTo(Grade.THIN));
        assertThat(r.dangers()).isEmpty();
    }

    @Test
    void nobodyHasAReportWithoutSentences() {
        Profile empty = Profile.of(LibraryIndex.empty(LEXICON), "nobody", Filter.ALL, 1);
        assertThat(Evidence.of(LibraryIndex.empty(LEXICON), "nobody", Filter.ALL)
                        .matches())
                .isEmpty();
        assertThat(text(ScoutingReport.of(empty))).contains("Only 0 matches so far");
    }

    @Test
    void againstOurAthleteTheOrderIsThatOfItsWorth() {
        Profile p = profile("brisa-tolendt");
        Stakes ours = new FixedStakes("triangle", "back-take");
        ScoutingReport r = ScoutingReport.of(p, ours);
        assertThat(r.dangers().get(0).sentence().id()).isEqualTo("danger.triangle");
        assertThat(r.dangers().get(0).against()).isTrue();
        assertThat(r.dangers().get(0).answer()).isEmpty();
        assertThat(r.openings()).extracting(e -> e.sentence().id()).contains("opening.ours.back-take");
    }

    @Test
    void aPunishedErrorIsAnOpeningBehindThoseThatAreWeighed() {
        Profile p = profile("juno-fastrel");
        assertThat(ScoutingReport.of(p).openings()).singleElement().satisfies(e -> {
            assertThat(e.sentence().id()).startsWith("opening.error.");
            assertThat(e.sentence().moments()).hasSize(3);
            assertThat(e.worth()).isZero();
            assertThat(e.against()).isFalse();
        });
        List<Edge> weighed = ScoutingReport.of(p, new FixedStakes("double-leg", "guillotine"))
                .openings();
        assertThat(weighed.get(weighed.size() - 1).sentence().id()).startsWith("opening.error.");
    }
}
