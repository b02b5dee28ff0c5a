package farglass.draft;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.table.ReadCalls;
import farglass.table.ReadChange;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Changes of the score that were read off a film are proposed as calls, as far as the record has none. */
class ScoreDraftsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final MatchRecord WAITING = DemoLibrary.waiting(LEXICON);

    private static ReadChange change(double s, CallKind call, Corner who, int before, int after) {
        long ms = Math.round(1000 * s);
        return new ReadChange(
                FilmTime.ofMs(ms + 2500), FilmTime.ofMs(ms + 3000), MatchTime.ofMs(ms), who, call, before, after, 0.97);
    }

    private static List<Draft> drafts(MatchRecord r, ReadChange... changes) {
        return ScoreDrafts.of(
                ReadCalls.of(
                        r,
                        Rulesets.builtIn()
                                .orUsual(r.details().ruleset(), r.details().date()),
                        LEXICON,
                        List.of(changes)),
                "m.mp4");
    }

    @Test
    void everyCallIsADraftOfItsOwnWithWhatWasRead() {
        List<Draft> drafts = drafts(
                WAITING, change(33, CallKind.POINTS, Corner.A, 0, 3), change(60, CallKind.ADVANTAGE, Corner.B, 0, 2));
        assertThat(drafts).hasSize(3);
        assertThat(drafts.get(0)).satisfies(d -> {
            assertThat(((Tag.Call) d.tag()).value()).isEqualTo(3);
            assertThat(d.source()).isEqualTo(Source.SCORE);
            assertThat(d.confidence()).isEqualTo(0.97);
            assertThat(d.filmMs()).isEqualTo(36_000);
            assertThat(d.text()).contains("0").contains("3");
        });
        assertThat(drafts.subList(1, 3)).allMatch(d -> ((Tag.Call) d.tag()).call() == CallKind.ADVANTAGE);
    }

    @Test
    void whatTheRecordHoldsAndWhatWasTakenBackIsNone() {
        MatchRecord told = DemoLibrary.shown(WAITING, LEXICON);
        Tag.Call held = told.tags().stream()
                .filter(Tag.Call.class::isInstance)
                .map(Tag.Call.class::cast)
                .filter(c -> c.call() == CallKind.POINTS && c.value() != null)
                .findFirst()
                .orElseThrow();
        double s = held.t().ms() / 1000.0;
        assertThat(drafts(told, change(s + 1, CallKind.POINTS, held.who(), 0, held.value())))
                .isEmpty();
        assertThat(drafts(WAITING, change(100, CallKind.POINTS, Corner.A, 3, 0)))
                .isEmpty();
    }

    @Test
    void whatIsSaidOfTheSamePointsIsOneDraftWithThem() {
        Draft said = Draft.of(
                new Tag.Call(MatchTime.ofMs(35_000), CallKind.POINTS, Corner.A, 3, true, null, null, TagInfo.NONE),
                null,
                -1,
                new Basis(Source.CAPTIONS, "said.vtt", 0.7, "Three points.", -1));
        DraftList list = DraftList.empty(WAITING.id())
                .with(List.of(said), WAITING, LEXICON)
                .with(drafts(WAITING, change(33, CallKind.POINTS, Corner.A, 0, 3)), WAITING, LEXICON);
        assertThat(list.drafts()).singleElement().satisfies(d -> {
            assertThat(d.tag().t()).as("the film is nearer than the word").isEqualTo(MatchTime.ofMs(33_000));
            assertThat(d.confidence()).isGreaterThan(0.99);
            assertThat(d.text()).contains("Three points.");
        });
    }
}
