package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.FilmFile;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.stats.Trial;
import farglass.store.Library;
import farglass.tendency.Filter;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is written for others from the command line, out of a library with one film. */
class PublishCommandsTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2031-04-12T12:00:00Z"), ZoneOffset.UTC);
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @TempDir
    private static Path folder;

    private static Path library;
    private static MatchRecord filmed;
    private static String them;
    private static String technique;

    private static Ran run(Object... args) {
        return Ran.of(NOON, args);
    }

    @BeforeAll
    static void fill() throws Exception {
        List<MatchRecord> records = new ArrayList<>(DemoLibrary.matches(LEXICON, DemoLibrary.SEED));
        MatchRecord first = records.get(0);
        them = first.details().b().id();
        Profile profile = Profile.of(records, them, Filter.ALL, LEXICON, 1);
        Claim shown = profile.claims().stream()
                .filter(c -> c.trials().stream().anyMatch(t -> isActionOf(first, t)))
                .findFirst()
                .orElseThrow();
        Trial moment = shown.trials().stream()
                .filter(t -> isActionOf(first, t))
                .findFirst()
                .orElseThrow();
        technique = LEXICON.techniqueName(((Tag.Action) first.tags().get(moment.index())).technique());
        // a few seconds around that moment are on film
        long from = Math.max(0, moment.t().ms() - 3000);
        ClockMap map = ClockMap.of(List.of(Segment.live(0, 6000, from)));
        new Footage(320, 180, 25).make(first, map, LEXICON, folder.resolve("one.mp4"), x -> {}, () -> false);
        filmed = first.withFilms(List.of(new FilmRef("one.mp4", null, null, false, map, Map.of())));
        records.set(0, filmed);
        library = folder.resolve("my.farglass");
        Plan plan = Plan.empty("p1", "Plan", filmed.details().a().id(), them)
                .pin(PinnedClaim.of(them, shown, new ClaimWriter(Locale.ENGLISH), Filter.ALL));
        try (Library l = Library.open(library, NOON)) {
            l.addAll(records);
            l.save(plan);
        }
    }

    private static boolean isActionOf(MatchRecord r, Trial t) {
        return t.tag().match().equals(r.id()) && r.tags().get(t.index()) instanceof Tag.Action;
    }

    private static String text(Path pdf) throws Exception {
        try (var document = Loader.loadPDF(pdf.toFile())) {
            return new PDFTextStripper().getText(document);
        }
    }

    private static int frames(Path film) throws Exception {
        try (FilmFile opened = FilmFile.open(film, () -> false)) {
            return opened.info().frames();
        }
    }

    @Test
    void aReelHoldsTheMomentsThatAreOnFilmAndTheLibraryKnowsOfIt() throws Exception {
        Path out = folder.resolve("reel.mp4");
        Ran ran = run("reel", "--library", library, "--find", technique, "--nameless", "--out", out);
        assertThat(ran.code()).as(ran.err()).isZero();
        int clips = ran.json().get("clips").asInt();
        assertThat(clips).isPositive().isLessThan(ran.json().get("found").asInt());
        assertThat(frames(out)).isGreaterThan(clips * 50);
        assertThat(Files.readString(folder.resolve("reel.csv")))
                .contains(filmed.id())
                .doesNotContain(filmed.details().a().surname());
        try (Library l = Library.read(library, NOON)) {
            assertThat(l.concerning(them).exported()).contains(out.toAbsolutePath());
        }
    }

    @Test
    void whatIsNotFoundIsSaidAndNothingIsWritten() {
        Path out = folder.resolve("none.mp4");
        assertThat(run("reel", "--library", library, "--find", "unicorn guard", "--out", out)
                        .code())
                .isEqualTo(2);
        Ran gone = run("reel", "--library", library, "--find", technique, "--match", "nowhere", "--out", out);
        assertThat(gone.code()).isEqualTo(3);
        assertThat(gone.err()).contains("Nothing was written");
        Ran unknown = run("brief", "--library", library, "--plan", "p9", "--out", folder.resolve("none.pdf"));
        assertThat(unknown.code()).isEqualTo(3);
        assertThat(unknown.err()).contains("p1");
        assertThat(run("brief", "--library", library, "--plan", "p1", "--out", folder.resolve("none.txt"))
                        .code())
                .isEqualTo(2);
        assertThat(out).doesNotExist();
        assertThat(folder.resolve("none.pdf")).doesNotExist();
    }

    @Test
    void aBriefingIsWrittenOnPaperAndAsAPageWithItsClips() throws Exception {
        Path pdf = folder.resolve("brief.pdf");
        assertThat(run("brief", "--library", library, "--plan", "p1", "--out", pdf)
                        .code())
                .isZero();
        assertThat(text(pdf)).contains(filmed.details().b().name());
        Path html = folder.resolve("brief.html");
        Ran ran = run("brief", "--library", library, "--plan", "p1", "--out", html);
        assertThat(ran.code()).isZero();
        assertThat(ran.json().get("files")).hasSizeGreaterThan(1);
        assertThat(Files.readString(html)).contains("brief-clips/01.mp4");
        assertThat(frames(folder.resolve("brief-clips").resolve("01.mp4"))).isPositive();
    }

    @Test
    void theCornerCardIsOnePageAgainstTheOpponent() throws Exception {
        Path out = folder.resolve("card-a4.pdf");
        Ran ran = run(
                "card",
                "--library",
                library,
                "--us",
                filmed.details().a().id(),
                "--them",
                them,
                "--ruleset",
                "points-gi",
                "--out",
                out);
        assertThat(ran.code()).as(ran.err()).isZero();
        assertThat(text(out)).contains("Plan against " + filmed.details().b().name(), "tap early");
        try (var document = Loader.loadPDF(out.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(document.getPage(0).getMediaBox().getHeight()).isGreaterThan(800);
        }
    }
}
