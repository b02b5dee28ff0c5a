package farglass.work.publish;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.brief.Slide;
import farglass.film.reel.DrawingPainter;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Judgement;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.stats.Grade;
import farglass.store.WholeFile;
import farglass.tendency.Filter;
import farglass.work.OpenSession;
import farglass.work.session.FilmPlaces;
import java.awt.Color;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PublisherTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);
    private static final String US = "ansa-kellivar";
    private static final String THEM = "brisa-tolendt";
    private static final Assignment AGAINST =
            new Assignment("x", US, List.of(THEM), "Event", LocalDate.of(2031, 5, 3), "points-gi", "gi", 8);

    @TempDir
    private Path folder;

    private OpenSession open;
    private Publisher publisher;

    @BeforeEach
    void open() throws Exception {
        open = OpenSession.of(folder.resolve("my.farglass"), DEMO);
        publisher = new Publisher(open.session());
    }

    @AfterEach
    void close() {
        open.close();
    }

    private Material material() {
        return new Material(DEMO, new FilmPlaces(folder, Map.of()), LEXICON, AGAINST, LocalDate.of(2031, 4, 1));
    }

    @Test
    void twoOrderedAtOnceAreBothWrittenToldAndFoundWhenAnAthleteIsForgotten() throws Exception {
        Path one = folder.resolve("one.txt");
        Path two = folder.resolve("two.txt");
        open.on(() -> {
            publisher.file(one, Publication.file(Set.of(THEM), p -> WholeFile.write(p, "1")));
            publisher.export("two", two, Publication.file(Set.of(US), p -> WholeFile.write(p, "2")));
        });
        open.settled();
        assertThat(one).hasContent("1");
        assertThat(two).hasContent("2");
        assertThat(open.told()).containsExactlyInAnyOrder("Written: " + one, "Written: " + two);
        assertThat(open.library().concerning(THEM).exported()).containsExactly(one);
        assertThat(open.library().concerning(US).exported()).containsExactly(two);
    }

    @Test
    void whatCannotBeWrittenIsToldAndNotNoted() throws Exception {
        Path nowhere = folder.resolve("no/such/folder/x.txt");
        open.on(() -> publisher.file(nowhere, Publication.file(Set.of(THEM), p -> WholeFile.write(p, "1"))));
        open.settled();
        assertThat(open.problems()).singleElement().asString().contains(nowhere.toString(), "Nothing half-written");
        assertThat(open.told()).isEmpty();
        assertThat(open.library().concerning(THEM).exported()).isEmpty();
    }

    @Test
    void nothingToWriteIsSaidAndIsNoFailure() throws Exception {
        DrawingPainter painter = new DrawingPainter(who -> Color.BLACK);
        Publication none = new Talks(folder).film(DEMO.get(0).id(), Set.of(), painter);
        open.on(() -> publisher.export("talk", folder.resolve("reels").resolve("talk.mp4"), none));
        open.settled();
        assertThat(open.told()).containsExactly("Nothing has been said about this match yet. F10 begins.");
        assertThat(open.problems()).isEmpty();
        assertThat(folder.resolve("reels")).doesNotExist();
    }

    @Test
    void aReelWithoutAnyFilmIsToldAndNotWritten() throws Exception {
        Path target = folder.resolve("reel.mp4");
        List<Cut> cuts = List.of(Cut.of(DEMO.get(0).id(), 1), Cut.of("gone", 0));
        open.on(() -> publisher.export("reel", target, new ReelPublication(material(), "x", cuts, true)));
        open.settled();
        assertThat(open.problems())
                .containsExactly("None of these moments is on a film that is there. Nothing was written.");
        assertThat(target).doesNotExist();
    }

    @Test
    void aPaperThatIsCancelledLeavesTheOneThatWasThere() throws Exception {
        Path target = Files.writeString(folder.resolve("brief.pdf"), "last week's");
        Slide slide = new Slide("s", Slide.Kind.TITLE, "", "text", List.of(), "", List.of(), false);
        Publication paper = new BriefPublication(material(), List.of(slide), false).paper();
        assertThat(paper.write(target, share -> {}, () -> true)).isEmpty();
        assertThat(target).hasContent("last week's");
        assertThat(folder.resolve("brief.pdf.part")).doesNotExist();
        assertThat(paper.write(target, share -> {}, () -> false)).isPresent();
        assertThat(Files.readString(target, java.nio.charset.StandardCharsets.ISO_8859_1))
                .startsWith("%PDF");
    }

    @Test
    void aDossierPrintsWhatIsPinnedElseWhatIsNeitherThinNorDoubted() {
        Profile p = Profile.of(DEMO, THEM, Filter.ALL, LEXICON, 1);
        List<Claim> usual = ProfilePublication.usual(THEM, p.claims(), null);
        assertThat(usual).isNotEmpty().allMatch(c -> c.estimate().grade() != Grade.THIN);
        Claim first = usual.get(0);
        Plan doubting = Plan.empty("p", "", US, THEM)
                .judge(Judgement.none(THEM, first.id()).doubt("one opponent only"));
        assertThat(ProfilePublication.usual(THEM, p.claims(), doubting))
                .isNotEmpty()
                .doesNotContain(first);
        Claim last = p.claims().get(p.claims().size() - 1);
        Plan pinning = Plan.empty("p", "", US, THEM)
                .pin(PinnedClaim.of(THEM, last, new ClaimWriter(Locale.ENGLISH), Filter.ALL));
        assertThat(ProfilePublication.usual(THEM, p.claims(), pinning)).containsExactly(last);
    }

    @Test
    void oursIsAmberAndTheOpponentNever() {
        for (MatchRecord r : DEMO) {
            Corner amber = Material.amber(AGAINST, r);
            r.cornerOf(US).ifPresent(c -> assertThat(amber).isEqualTo(c));
            if (r.cornerOf(US).isEmpty()) {
                r.cornerOf(THEM).ifPresent(c -> assertThat(amber).isEqualTo(c.other()));
            }
            assertThat(Material.amber(null, r)).isEqualTo(Corner.A);
        }
    }
}
