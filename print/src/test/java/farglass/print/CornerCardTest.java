package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePageWriter;
import farglass.matchup.gameplan.GamePlan;
import farglass.matchup.gameplan.PhaseFigure;
import farglass.matchup.gameplan.PhaseText;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CornerCardTest {
    private static final DecisionWriter DECIDED =
            new DecisionWriter(Locale.ENGLISH, Lexicon.builtIn(), "Ansa", "Brisa");

    private static CornerCard card;
    private static Proposal proposal;

    @TempDir
    private Path folder;

    @BeforeAll
    static void solve() {
        Lexicon lexicon = Lexicon.builtIn();
        LibraryIndex index = LibraryIndex.of(DemoLibrary.matches(lexicon, DemoLibrary.SEED), lexicon);
        Meeting m = Meeting.of(
                index,
                new Meeting.Question(
                        "ansa-kellivar",
                        "brisa-tolendt",
                        Rulesets.builtIn().orUsual("submission-only", null),
                        Filter.ALL,
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
        proposal = Proposal.of(m.solve());
        card = new CornerCard(
                page(index, proposal),
                "Against Brisa Tolendt",
                "Saltmarsh Night",
                "Tap early and often.",
                List.of("collar grip within 10 s of every restart"));
    }

    private static GamePage page(LibraryIndex index, Proposal p) {
        return new GamePageWriter(Locale.ENGLISH, Lexicon.builtIn(), "Ansa", "Brisa").page(p, GamePlan.of(p, index));
    }

    private String text(PDRectangle size) throws Exception {
        Path file = folder.resolve("card.pdf");
        card.write(file, size == PDRectangle.A4 ? CornerCard.Paper.A4 : CornerCard.Paper.A5);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isEqualTo(1);
            assertThat(d.getPage(0).getMediaBox().getWidth()).isEqualTo(size.getWidth());
            return new PDFTextStripper().getText(d);
        }
    }

    @Test
    void bothSizesSayTheSame() throws Exception {
        String small = text(PDRectangle.A5);
        assertThat(small)
                .contains("Against Brisa Tolendt", "PLAN", "THEIR WEAPONS", "PROMISED", "CALLS")
                .contains("collar grip within 10 s", "Tap early and often.")
                .doesNotContain("?", "\u2026");
        Decision first = proposal.decisions().valued().get(0).decision();
        assertThat(small.replaceAll("\\s+", " ")).contains(DECIDED.sentence(first), DECIDED.call(first));
        proposal.refuse().forEach(r -> assertThat(small).contains(DECIDED.place(r)));
        assertThat(text(PDRectangle.A4).replaceAll("\\s+", " ")).isEqualTo(small.replaceAll("\\s+", " "));
    }

    private static GamePage.Part part(GamePage.Heading heading, GamePage.Line... lines) {
        return new GamePage.Part(heading, heading.name(), List.of(lines));
    }

    private static GamePage.Line line(String text, boolean likely) {
        return new GamePage.Line(text, List.of("Worth something."), List.of(), likely);
    }

    private String set(GamePage page) throws Exception {
        Path file = folder.resolve("set.pdf");
        new CornerCard(page, "Against Brisa", "Saltmarsh Night", "Tap early.", List.of())
                .write(file, CornerCard.Paper.A5);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            return new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
        }
    }

    @Test
    void whatIsLikelySaysSoAndWhatHasAConditionStandsWithTheRest() throws Exception {
        String text = set(bare(List.of(
                part(
                        GamePage.Heading.DECISIONS,
                        new GamePage.Line("These 2 carry 0.7 points.", List.of(), List.of(), false),
                        line("From half guard: sweep.", true)),
                part(GamePage.Heading.SCORE, line("When ahead, in side control: keep it.", false)))));
        assertThat(text)
                .contains("PLAN From half guard: sweep. (likely) When ahead, in side control: keep it.")
                .doesNotContain("carry", "THEIR WEAPONS");
    }

    @Test
    void aLineIsSetWholeOrNotAtAllAndTheCallsKeepTheirRoom() throws Exception {
        String long1 = "one ".repeat(180).strip() + " end1";
        String long2 = "two ".repeat(180).strip() + " end2";
        String text = set(bare(List.of(
                part(GamePage.Heading.DECISIONS, line(long1, false), line(long2, false), line("short", false)),
                part(GamePage.Heading.CALLS, line("sweep", false), line("hold", false)))));
        assertThat(text).contains(long1).doesNotContain("two").contains("CALLS sweep \u00b7 hold");
    }

    @Test
    void nothingIsLeftWhenItCannotBeWritten() throws Exception {
        assertThatIOException().isThrownBy(() -> card.write(folder.resolve("none/card.pdf"), CornerCard.Paper.A5));
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.toList()).isEmpty();
        }
    }

    private static GamePage bare(List<GamePage.Part> parts) {
        PhaseFigure nothing = new PhaseFigure(1, List.of(), List.of());
        return new GamePage(parts, new PhaseText(nothing, Map.of(), Map.of(), Map.of(), ""));
    }
}
