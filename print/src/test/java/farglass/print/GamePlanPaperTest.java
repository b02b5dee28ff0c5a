package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePageWriter;
import farglass.matchup.gameplan.GamePlan;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Page and card of all three opponents of the demo: nothing is cut, nothing is missing, nothing prints as a mark. */
class GamePlanPaperTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static LibraryIndex index;

    @TempDir
    private Path folder;

    @BeforeAll
    static void read() {
        index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
    }

    private static GamePage page(String them, String rules, String us, String name) {
        Meeting m = Meeting.of(
                index,
                new Meeting.Question(
                        "ansa-kellivar",
                        them,
                        Rulesets.builtIn().orUsual(rules, null),
                        Filter.ALL,
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
        Proposal p = Proposal.of(m.solve());
        return new GamePageWriter(Locale.ENGLISH, LEXICON, us, name).page(p, GamePlan.of(p, index));
    }

    private static String flat(String text) {
        return text.replaceAll("\\s+", " ");
    }

    /** Words alone: a name that is wider than its column is broken. */
    private static String bare(String text) {
        return text.replaceAll("\\s+", "");
    }

    private String printed(Path file, int pages) throws Exception {
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isEqualTo(pages);
            return new PDFTextStripper().getText(d);
        }
    }

    private static Stream<String> said(GamePage page) {
        return page.parts().stream()
                .flatMap(p -> p.lines().stream())
                .flatMap(l -> Stream.concat(Stream.of(l.text()), l.notes().stream()));
    }

    @ParameterizedTest
    @CsvSource({
        "brisa-tolendt, points-gi",
        "odile-marrowen, points-no-gi",
        "juno-fastrel, points-gi",
        "brisa-tolendt, submission-only"
    })
    void thePageSaysAllOfItOnOneSheet(String them, String rules) throws Exception {
        GamePage page = page(them, rules, "Ansa", "Brisa");
        Path file = folder.resolve("page.pdf");
        new GamePlanPaper(page, "Against Brisa Tolendt", "Saltmarsh Night", "Tap early.").write(file);
        String text = printed(file, 1);
        assertThat(text).doesNotContain("?", "\u2026", "...").contains("Tap early.");
        said(page).forEach(s -> assertThat(bare(text)).contains(bare(s)));
    }

    @Test
    void longNamesAreNeitherCutNorLostOnPageAndCard() throws Exception {
        String us = "\u0141ucja-Anastazja\u00a0Wielkopolska\u0144ska-\u017br\u00f3dlana";
        String them = "\u5927\u91ce-Maximiliane Wilhelmine Konstanze von Abel";
        GamePage page = page("brisa-tolendt", "points-gi", us, them);
        Path file = folder.resolve("page.pdf");
        new GamePlanPaper(page, "Against " + them, us + " at Saltmarsh Night", "Tap early.").write(file);
        // the drawing needs a page of its own then
        String text = bare(printed(file, 2));
        assertThat(text).doesNotContain("?", "...").contains(bare(them), bare(us));
        assertThat(page.drawing().figure().boxes())
                .allSatisfy(b -> assertThat(text).contains(bare(page.drawing().name(b))));
        Path card = folder.resolve("card.pdf");
        new CornerCard(page, "Against " + them, "Saltmarsh Night", "Tap early.", List.of())
                .write(card, CornerCard.Paper.A5);
        assertThat(flat(printed(card, 1)))
                .doesNotContain("?", "...")
                .contains(page.part(GamePage.Heading.CALLS)
                        .orElseThrow()
                        .lines()
                        .get(0)
                        .text());
    }

    @Test
    void whatDoesNotFitGoesOnOnASecondPage() throws Exception {
        GamePage one = page("brisa-tolendt", "points-gi", "Ansa", "Brisa");
        GamePage thrice = new GamePage(
                Stream.of(one, one, one).flatMap(p -> p.parts().stream()).toList(), one.drawing());
        Path file = folder.resolve("page.pdf");
        new GamePlanPaper(thrice, "Against Brisa", "Saltmarsh Night", "Tap early.").write(file);
        String text = bare(printed(file, 3));
        said(one).forEach(s -> assertThat(text).contains(bare(s)));
    }
}
