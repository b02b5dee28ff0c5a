package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Role;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Report;
import farglass.scout.GameFigure;
import farglass.scout.GameFigures;
import farglass.scout.KeyNumbers;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import farglass.simulate.DemoLibrary;
import farglass.stats.Grade;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.tendency.Moment;
import farglass.time.Dates;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The dossier and the report are read back by the library that others read them with. */
class DossierTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);
    private static final LibraryIndex INDEX = LibraryIndex.of(DEMO, LEXICON);
    private static final ClaimWriter WRITER = new ClaimWriter(Locale.ENGLISH);
    private static final LocalDate DAY = LocalDate.of(2031, 5, 1);

    @TempDir
    private Path folder;

    private static Profile profile(Filter f) {
        return Profile.of(INDEX, "brisa-tolendt", f, 1);
    }

    private static BufferedImage still() {
        BufferedImage image = new BufferedImage(384, 216, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.ORANGE);
        g.fillRect(20, 20, 200, 100);
        g.dispose();
        return image;
    }

    private static Dossier.Row row(Claim c, String doubt, String remark, boolean picture) {
        return new Dossier.Row(
                c, WRITER.sentence(c), doubt, remark, picture ? still() : null, picture ? "2030-01-01, 3:20" : "");
    }

    private Path write(Profile p, List<Dossier.Row> rows) throws Exception {
        Path file = folder.resolve("dossier.pdf");
        new Dossier(p.name(), Basis.of(p.evidence(), DAY), rows, p.evidence(), WRITER, false).write(file);
        return file;
    }

    private static String text(Path file) throws Exception {
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            return new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
        }
    }

    private static int pages(Path file) throws Exception {
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            return d.getNumberOfPages();
        }
    }

    private static int pictures(Path file) throws Exception {
        int n = 0;
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            for (PDPage page : d.getPages()) {
                for (COSName name : page.getResources().getXObjectNames()) {
                    n += page.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
        }
        return n;
    }

    private DossierReport report(Profile p) {
        ReportWriter words = new ReportWriter(Locale.ENGLISH);
        ScoutingReport r = ScoutingReport.of(p);
        return new DossierReport(
                r.parts().stream()
                        .map(part -> new DossierReport.Part(
                                words.heading(part.heading()),
                                part.sentences().stream().map(words::text).toList()))
                        .toList(),
                List.of(
                        new DossierReport.Still(still(), "2030-01-01, 3:20"),
                        new DossierReport.Still(still(), "2030-02-01, 1:05")),
                GameFigures.of(p.evidence()),
                List.of("Tolendt sweeps to the left. 26 of 30 in 11 matches."),
                KeyNumbers.of(p),
                words,
                p.evidence().lexicon());
    }

    @Test
    void theReportStandsFirstThenTheGameThenTheEvidence() throws Exception {
        Profile p = profile(Filter.ALL);
        Path file = folder.resolve("report.pdf");
        List<Dossier.Row> rows = List.of(row(p.claims().get(0), "", "", false));
        new Dossier(p.name(), Basis.of(p.evidence(), DAY), rows, p.evidence(), WRITER, false)
                .reporting(report(p))
                .write(file);
        String whole = text(file);
        for (ScoutingReport.Part part : ScoutingReport.of(p).parts()) {
            for (Sentence s : part.sentences()) {
                assertThat(whole)
                        .contains(new ReportWriter(Locale.ENGLISH).text(s).substring(0, 20));
            }
        }
        assertThat(whole).contains("THE GAME OF", "on the feet", "SIDES", "26 of 30 in 11 matches", "SOURCES");
        assertThat(whole).contains("KEY NUMBERS", "Passes against Tolendt get through.", "others ");
        assertThat(whole.indexOf("In one sentence")).isLessThan(whole.indexOf("THE GAME OF"));
        assertThat(whole.indexOf("THE GAME OF")).isLessThan(whole.indexOf("BY THE STRENGTH OF THE EVIDENCE"));
        assertThat(pages(file)).isBetween(3, 5);
        assertThat(pictures(file)).isPositive();
    }

    @Test
    void aReportWithoutFilmAndWithoutAGameIsWhole() throws Exception {
        Profile p = profile(Filter.ALL);
        DossierReport full = report(p);
        Path file = folder.resolve("bare.pdf");
        new Dossier(p.name(), "basis", List.of(), p.evidence(), WRITER, false)
                .reporting(new DossierReport(
                        full.parts(),
                        List.of(),
                        new GameFigure(List.of(), List.of(), 0, 0),
                        List.of(),
                        List.of(),
                        full.writer(),
                        full.lexicon()))
                .write(file);
        assertThat(text(file))
                .contains("In one sentence", "No claim was chosen")
                .doesNotContain("THE GAME OF");
    }

    @Test
    void tenClaimsWithStillsFillTwoPagesWithAllThatBelongsToThem() throws Exception {
        Profile p = profile(Filter.ALL);
        List<Dossier.Row> rows = p.claims().subList(0, Dossier.USUAL_CLAIMS).stream()
                .map(c -> row(c, "", "", true))
                .toList();
        Path file = write(p, rows);
        assertThat(pages(file)).isEqualTo(2);
        assertThat(pictures(file)).isEqualTo(Dossier.USUAL_CLAIMS);
        String text = text(file);
        assertThat(text).contains("Brisa Tolendt").contains("Printed 1 May 2031");
        for (Dossier.Row r : rows) {
            assertThat(text)
                    .contains(r.sentence())
                    .contains(WRITER.counts(r.claim()))
                    .contains(WRITER.number(r.claim()));
        }
        assertThat(text)
                .contains("WHERE TOLENDT GOES FROM WHERE")
                .contains("LAS")
                .contains("SOURCES");
        p.evidence()
                .matches()
                .forEach(s -> assertThat(text)
                        .contains(Dates.words(s.record().details().date()))
                        .contains(s.record().athlete(s.corner().other()).name()));
    }

    @Test
    void doubtsRemarksAndThinEvidenceStandBesideTheNumber() throws Exception {
        Profile p = profile(Filter.ALL);
        Claim thin = p.claims().stream()
                .filter(c -> c.estimate().grade() == Grade.THIN)
                .findFirst()
                .orElseThrow();
        String text = text(write(p, List.of(row(thin, "one film only", "ask the coach", false))));
        assertThat(text)
                .contains("Doubted: one film only")
                .contains("Remark: ask the coach")
                .contains("thin");
    }

    @Test
    void manyClaimsGoOnToFurtherPagesAndNoneIsLost() throws Exception {
        Profile p = profile(Filter.ALL);
        List<Dossier.Row> rows =
                p.claims().stream().map(c -> row(c, "", "", false)).toList();
        Path file = write(p, rows);
        assertThat(pages(file)).isGreaterThan(3);
        String text = text(file);
        for (Dossier.Row r : rows) {
            String begin = r.sentence().substring(0, Math.min(40, r.sentence().length()));
            assertThat(text).contains(begin);
        }
    }

    @Test
    void withoutMatchesAndClaimsThereArePagesWithWords() throws Exception {
        Profile none = profile(Filter.ALL.dates(LocalDate.of(2050, 1, 1), null));
        String text = text(write(none, List.of()));
        assertThat(text).contains("No claim was chosen").contains("0 matches").doesNotContain("NaN");
    }

    @Test
    void lettersThatNoTypefaceHasBecomeQuestionMarks() throws Exception {
        Profile p = profile(Filter.ALL);
        Claim c = p.claims().get(0);
        Dossier.Row odd =
                new Dossier.Row(c, "She \u67d4\u8853 \ud83e\udd4b pulls\nand waits \t after", "", "", null, "");
        String text = text(write(p, List.of(odd)));
        assertThat(text).contains("She").contains("pulls and waits after");
    }

    @Test
    void aPlaceThatCannotBeWrittenLeavesNothing() throws Exception {
        Profile p = profile(Filter.ALL);
        Path gone = folder.resolve("no/such/folder/d.pdf");
        assertThatIOException()
                .isThrownBy(() -> new Dossier(p.name(), "basis", List.of(), p.evidence(), WRITER, true).write(gone));
        Path taken = Files.createDirectory(folder.resolve("taken.pdf"));
        Files.writeString(taken.resolve("x"), "x");
        assertThatIOException()
                .isThrownBy(() -> new Dossier(p.name(), "basis", List.of(), p.evidence(), WRITER, true).write(taken));
        try (Stream<Path> left = Files.walk(folder)) {
            assertThat(left.filter(f -> f.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void theBasisSaysWhatTheFilterLeaves() {
        Filter narrow = Filter.ALL
                .attire("gi")
                .ruleset("points-gi")
                .halfLife(null)
                .moment(new Moment(Role.GUARD, Moment.Standing.BEHIND, Moment.Part.LAST_THIRD));
        String words = Basis.of(profile(narrow).evidence(), DAY);
        assertThat(words)
                .contains("gi")
                .contains("points, gi")
                .contains("when behind")
                .contains("last third")
                .contains("as guard")
                .contains("old matches weigh as much")
                .contains("1 May 2031");
        assertThat(Basis.of(profile(Filter.ALL.halfLife(1.0)).evidence(), DAY)).contains("a match 1 year old");
        MatchRecord r = DEMO.get(0);
        assertThat(Basis.moment(r, r.tags().get(0).t()))
                .contains(Dates.words(r.details().date()))
                .contains(r.details().a().surname())
                .contains("0:00");
    }

    private Path report(Report r, boolean pictures) throws Exception {
        Path file = folder.resolve("report.pdf");
        new ReportPaper(
                        r,
                        "12 matches, 2031-05-01",
                        t -> t.tag().match() + " " + t.t(),
                        t -> pictures ? still() : null,
                        LEXICON::techniqueName)
                .write(file);
        return file;
    }

    @Test
    void theReportLaysFaultsBesideExamplesAndShowsTheCautions() throws Exception {
        Report r = Report.of(INDEX, "ansa-kellivar", Filter.ALL);
        assertThat(r.faults()).isNotEmpty();
        Path file = report(r, true);
        String text = text(file);
        assertThat(text)
                .contains("Report for Ansa Kellivar")
                .contains("Tap early and often")
                .contains("stop on pain");
        for (Report.Fault f : r.faults()) {
            assertThat(text).contains(f.subject().substring(0, 20));
            f.example().ifPresent(e -> assertThat(text).contains("Instead: " + LEXICON.techniqueName(e.technique())));
        }
        assertThat(text).contains("A fault that went free is still a fault");
        assertThat(pictures(file)).isGreaterThanOrEqualTo(r.faults().size());
        assertThat(text(report(r, false))).contains("Report for Ansa Kellivar");
    }

    @Test
    void aReportWithoutRemarksSaysSo() throws Exception {
        Report none = Report.of(INDEX, "ansa-kellivar", Filter.ALL.matches(Set.of("no-such-match")));
        assertThat(text(report(none, false)))
                .contains("No fault was remarked")
                .contains("No praise was remarked")
                .contains("Tap early and often");
    }

    @Test
    void manyFaultsGoOnToAnotherPage() throws Exception {
        Report one = Report.of(INDEX, "brisa-tolendt", Filter.ALL);
        List<Report.Fault> many = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            many.addAll(one.faults());
        }
        Report long1 = new Report(one.athlete(), one.name(), many, one.praise(), one.matches(), one.exposureMs());
        assertThat(pages(report(long1, true))).isGreaterThan(2);
    }
}
