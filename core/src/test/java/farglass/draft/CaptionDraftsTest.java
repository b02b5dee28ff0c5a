package farglass.draft;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.narration.Cue;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class CaptionDraftsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final MatchRecord MATCH = DemoLibrary.matches(LEXICON, DemoLibrary.SEED).stream()
            .filter(r -> r.cornerOf("ansa-kellivar").isPresent()
                    && r.cornerOf("brisa-tolendt").isPresent())
            .findFirst()
            .orElseThrow();

    private static final Corner BRISA = MATCH.cornerOf("brisa-tolendt").orElseThrow();

    @Test
    void aDraftIsATagWithItsSourceAndStandsBeforeTheWord() {
        List<Cue> cues = List.of(new Cue(30_000, 33_000, "Brisa pulls guard, and she plays her lasso guard."));
        List<Draft> drafts = CaptionDrafts.of(cues, "said.vtt", MATCH, null, LEXICON, 1000);
        assertThat(drafts).hasSizeGreaterThanOrEqualTo(2);
        assertThat(drafts.get(0).tag()).isInstanceOfSatisfying(Tag.Action.class, a -> {
            assertThat(a.by()).isEqualTo(BRISA);
            assertThat(a.technique()).isEqualTo("guard-pull");
            assertThat(a.t().ms()).isBetween(28_500L, 31_000L);
        });
        assertThat(drafts)
                .anySatisfy(d -> assertThat(d.tag()).isInstanceOfSatisfying(Tag.Position.class, p -> {
                    assertThat(p.position()).isEqualTo("LAS");
                    assertThat(p.guard()).isEqualTo(BRISA);
                }));
        assertThat(drafts)
                .allMatch(d -> d.source() == Source.CAPTIONS && d.text().contains("pulls guard"));
    }

    @Test
    void theFilmsClockSaysWhenInTheMatchAndWhatItDoesNotShowIsNone() {
        Segment live = new Segment(new FilmTime(10_000), new FilmTime(70_000), Segment.Kind.LIVE, new MatchTime(0), 1);
        FilmRef film = FilmRef.of("m.mp4", 100_000L, ClockMap.of(List.of(live)));
        long ms = 14_000;
        List<Cue> cues = List.of(
                new Cue(ms, ms + 2000, "Brisa goes for the triangle."),
                new Cue(90_000, 92_000, "Brisa goes for the armbar."));
        MatchRecord filmed = MATCH.withFilms(List.of(film)).withTags(List.of());
        List<Draft> drafts = CaptionDrafts.of(cues, "said.vtt", filmed, film, LEXICON, 0);
        assertThat(drafts).hasSize(2);
        DraftList list = DraftList.empty(filmed.id()).with(drafts, filmed, LEXICON);
        assertThat(list.judged(filmed, LEXICON, 0))
                .extracting(DraftList.Judged::fate)
                .contains(DraftFate.OUT_OF_SIGHT);
        assertThat(list.open(filmed, LEXICON, 0)).singleElement().satisfies(d -> {
            assertThat(d.filmMs()).isBetween(ms, ms + 2000);
            assertThat(d.tag().t().ms()).isEqualTo(d.filmMs() - 10_000);
        });
    }

    @Test
    void theLimbThatASubmissionIsOnComesAlongAndTheSideOfAPass() {
        List<Cue> cues = List.of(
                new Cue(0, 3000, "Brisa attacks the armbar on the left arm."),
                new Cue(20_000, 23_000, "Brisa hits the knee cut to the right."));
        assertThat(CaptionDrafts.of(cues, "said.vtt", MATCH, null, LEXICON, 0))
                .extracting(Draft::tag)
                .satisfiesExactly(
                        t -> assertThat(t)
                                .isInstanceOfSatisfying(
                                        Tag.Action.class,
                                        x -> assertThat(x.limb()).isEqualTo("left-arm")),
                        t -> assertThat(t).isInstanceOfSatisfying(Tag.Action.class, x -> {
                            assertThat(x.limb()).isNull();
                            assertThat(x.sides()).containsExactly(Side.RIGHT);
                        }));
    }

    @Test
    void whatNobodyIsNamedForIsNoTag() {
        assertThat(CaptionDrafts.of(List.of(new Cue(0, 2000, "Triangle!")), "said.vtt", MATCH, null, LEXICON, 0))
                .isEmpty();
    }

    @Test
    void theDemosCommentaryProposesMostOfItsMatch() {
        MatchRecord told = DemoLibrary.shown(DemoLibrary.waiting(LEXICON), LEXICON);
        assertThat(DemoLibrary.commentary()).startsWith("WEBVTT");
        List<Cue> cues = new ArrayList<>();
        String[] blocks = DemoLibrary.commentary().split("\n\n");
        for (String b : blocks) {
            Matcher m = Pattern.compile("(?s)(\\d+):([\\d.]+) --> (\\d+):([\\d.]+)\n(.*)")
                    .matcher(b.strip());
            if (m.matches()) {
                cues.add(new Cue(ms(m.group(1), m.group(2)), ms(m.group(3), m.group(4)), m.group(5)));
            }
        }
        List<Draft> drafts =
                CaptionDrafts.of(cues, "commentary.vtt", told, told.films().get(0), LEXICON, SpeechLag.USUAL_MS);
        List<DraftList.Judged> judged =
                DraftList.empty(told.id()).with(drafts, told, LEXICON).judged(told, LEXICON, SpeechLag.USUAL_MS);
        List<DraftList.Judged> facts = judged.stream()
                .filter(j -> !(j.draft().tag() instanceof Tag.Remark))
                .toList();
        long right = facts.stream().filter(j -> j.fate() == DraftFate.HELD).count();
        assertThat(facts).hasSizeGreaterThan(20);
        assertThat(right).as("what the record says too").isGreaterThan(facts.size() * 3L / 4);
    }

    private static long ms(String minutes, String seconds) {
        return Math.round(1000 * (60 * Double.parseDouble(minutes) + Double.parseDouble(seconds)));
    }
}
