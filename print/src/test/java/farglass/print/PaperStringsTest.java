package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.camp.Camp;
import farglass.camp.CardWriter;
import farglass.camp.Preparation;
import farglass.camp.Skill;
import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.fit.KnownGame;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.plan.Plan;
import farglass.plan.ProposedForks;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.type.Typeface;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever a paper of the demo may say is printed whole, in letters that the faces have. */
class PaperStringsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LibraryIndex INDEX = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
    private static final LocalDate EVENT = LocalDate.of(2031, 5, 3);

    @TempDir
    private Path folder;

    private static void printable(PDDocument document, String text) throws Exception {
        Faces faces = new Faces(document);
        for (Typeface face : List.of(Typeface.SANS, Typeface.CONDENSED, Typeface.SERIF)) {
            StringBuilder printed = new StringBuilder();
            for (Faces.Run r : faces.runs(text.strip(), face)) {
                printed.append(r.text());
            }
            assertThat(printed.toString()).as("%s in %s", text, face).doesNotContain("\u25a1");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "farglass.print.Print",
                "farglass.matchup.advise.Decision",
                "farglass.matchup.advise.Meeting",
                "farglass.matchup.advise.Own",
                "farglass.matchup.gameplan.Game",
                "farglass.brief.Brief",
                "farglass.camp.Cards",
                "farglass.profile.Claims",
                "farglass.scout.Report"
            })
    void everySentenceHasItsLetters(String bundle) throws Exception {
        ResourceBundle words = ResourceBundle.getBundle(bundle, Locale.ENGLISH);
        assertThat(words.keySet()).isNotEmpty();
        try (PDDocument document = new PDDocument()) {
            String all = words.keySet().stream().map(words::getString).reduce("", (a, b) -> a + " " + b);
            printable(document, all.replaceAll("\\s+", " "));
        }
    }

    @Test
    void everyNameHasItsLetters() throws Exception {
        Stream<String> names = Stream.of(
                        LEXICON.positions().stream().map(p -> p.name()),
                        LEXICON.techniques().stream().map(t -> t.name()),
                        LEXICON.grips().stream().map(g -> g.name()),
                        INDEX.athletes().stream().map(INDEX::name))
                .flatMap(s -> s);
        try (PDDocument document = new PDDocument()) {
            printable(document, names.reduce("", (a, b) -> a + " " + b));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "brisa-tolendt, points-gi, Ansa, Brisa",
        "odile-marrowen, points-nogi, Ansa, Odile",
        "juno-fastrel, submission-only, Wilhelmina-Augustina-Featherstonehaugh-X, Maximiliana-Theophania-Underhill-Meyers"
    })
    void forksAndCampArePrintedWhole(String opponent, String rules, String us, String them) throws Exception {
        Meeting meeting = Meeting.of(
                INDEX,
                new Meeting.Question(
                        "ansa-kellivar",
                        opponent,
                        Rulesets.builtIn().of(rules, null).orElseThrow(),
                        Filter.ALL,
                        EVENT,
                        480_000,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
        Proposal p = Proposal.of(meeting.solve());
        MeetingWriter writer = new MeetingWriter(Locale.ENGLISH, LEXICON, us, them);
        ProposedForks forks = ProposedForks.of(p, writer, KnownGame.of(INDEX, "ansa-kellivar", Filter.ALL));
        Plan plan =
                Plan.empty("p", "Against " + them, "ansa-kellivar", opponent).adopt(forks.root());
        Path page = folder.resolve("forks.pdf");
        new PlanPage(plan, us, them, "Saltmarsh Night", "Tap early.").write(page);
        assertThat(bare(page))
                .doesNotContain("...", "\u2026", "?", "\u25a1")
                .contains(bareText(plan.openings().get(0).text()));

        List<Skill> skills = Skill.of(p, writer.decisions(), Preparation.SKILLS);
        Preparation camp = Preparation.of(skills, Camp.USUAL, EVENT.minusDays(20), EVENT);
        Evidence evidence = Evidence.of(INDEX, opponent, Filter.ALL);
        CardWriter cards = new CardWriter(Locale.ENGLISH, writer, evidence);
        Path paper = folder.resolve("camp.pdf");
        new CampPaper(
                        camp,
                        Camp.USUAL,
                        skills.stream().map(cards::card).toList(),
                        "Camp",
                        "Saltmarsh Night",
                        CardWriter.care(Locale.ENGLISH),
                        k -> cards.title(camp.skill(k)))
                .write(paper);
        String text = bare(paper);
        assertThat(text).doesNotContain("...", "\u2026", "\u25a1");
        skills.stream()
                .filter(s -> !s.serves().isEmpty())
                .forEach(s -> assertThat(text).contains(bareText(s.serves())));
    }

    private static String bare(Path file) throws Exception {
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            return bareText(new PDFTextStripper().getText(d));
        }
    }

    private static String bareText(String text) {
        return text.replaceAll("[\\s-]", "");
    }
}
