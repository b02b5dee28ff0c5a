package farglass.skim;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.check.SecondPass;
import farglass.draft.Basis;
import farglass.draft.Draft;
import farglass.draft.Source;
import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.skim.Stretch.Why;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SkimTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final MatchRecord WAITING = DemoLibrary.waiting(LEXICON);
    private static final MatchTime END = MatchTime.ofMs(300_000);

    private static Draft draft(double s, Corner by, Source source, String from) {
        Tag tag = source == Source.SCORE
                ? new Tag.Call(at(s), CallKind.POINTS, by, 2, true, null, null, TagInfo.NONE)
                : Tag.Action.of(at(s), by, "armbar")
                        .builder()
                        .outcome(Outcome.COMPLETED)
                        .build();
        return Draft.of(tag, null, -1, new Basis(source, from, 0.8, "", -1));
    }

    private static MatchTime at(double s) {
        return MatchTime.ofMs(Math.round(1000 * s));
    }

    private static Skim skim(MatchRecord r, Draft... open) {
        return Skim.of(r, List.of(open), LEXICON, END);
    }

    @Test
    void whatIsOnlyToBeReadIsNoKnowledge() {
        Draft note = Draft.of(
                new Tag.Remark(
                        at(150),
                        RemarkKind.NOTE,
                        null,
                        "captions",
                        "a man in the crowd",
                        null,
                        null,
                        Map.of(),
                        TagInfo.NONE),
                null,
                -1,
                new Basis(Source.CAPTIONS, "c", 0.3, "", -1));
        assertThat(skim(WAITING, note).stretches()).isEqualTo(skim(WAITING).stretches());
    }

    @Test
    void ofAMatchOfWhichNothingIsKnownBeginningEndAndLooksBetweenAreSeen() {
        Skim s = skim(WAITING);
        assertThat(s.at(at(5)).orElseThrow().why()).contains(Why.START);
        assertThat(s.at(at(295)).orElseThrow().why()).contains(Why.FINISH);
        List<Stretch> looks = s.stretches().stream()
                .filter(x -> x.why().contains(Why.UNTAGGED))
                .toList();
        assertThat(looks).hasSize(6);
        for (int i = 1; i < s.stretches().size(); i++) {
            long gap = s.stretches().get(i).from().ms()
                    - s.stretches().get(i - 1).to().ms();
            assertThat(gap).isBetween(1501L, 45_000L);
        }
        assertThat(s.lasts(END, 4)).isBetween(80_000L, 125_000L);
    }

    @Test
    void scoresDraftsAndDisputesAreSeenWithWhatCameBefore() {
        Skim s = skim(
                WAITING,
                draft(100, Corner.A, Source.SCORE, "m.mp4"),
                draft(150, Corner.A, Source.CAPTIONS, "c.vtt"),
                draft(200, Corner.A, Source.CAPTIONS, "c.vtt"),
                draft(202, Corner.B, Source.NOTES, "n.csv"));
        assertThat(s.at(at(96)).orElseThrow().why()).contains(Why.SCORE);
        assertThat(s.at(at(148)).orElseThrow().why()).contains(Why.DRAFT).doesNotContain(Why.DISPUTED);
        assertThat(s.at(at(201)).orElseThrow().why()).contains(Why.DRAFT, Why.DISPUTED);
        assertThat(s.at(at(120))).isEmpty();
        assertThat(skim(WAITING, draft(200, Corner.A, Source.CAPTIONS, "c"), draft(202, Corner.B, Source.CAPTIONS, "c"))
                        .at(at(201))
                        .orElseThrow()
                        .why())
                .as("who tells of both does not contradict himself")
                .doesNotContain(Why.DISPUTED);
    }

    @Test
    void whatWasOnlyTriedCanWait() {
        Draft tried = Draft.of(
                Tag.Action.of(at(150), Corner.A, "armbar"), null, -1, new Basis(Source.CAPTIONS, "c", 0.8, "", -1));
        assertThat(skim(WAITING, tried).stretches()).noneMatch(x -> x.why().contains(Why.DRAFT));
    }

    @Test
    void whatWasTaggedOtherwiseIsDisputedToo() {
        List<Tag> tags = new ArrayList<>(WAITING.tags());
        tags.add(Tag.Action.of(at(199), Corner.B, "armbar"));
        tags.add(new Tag.Resume(at(240), null, null, null, TagInfo.NONE));
        Skim s = skim(WAITING.withTags(tags), draft(200, Corner.A, Source.CAPTIONS, "c"));
        assertThat(s.at(at(201)).orElseThrow().why()).contains(Why.DISPUTED);
        assertThat(s.at(at(242)).orElseThrow().why()).contains(Why.RESTART);
    }

    @Test
    void theSkeletonStandsWhenPlacesScoreAndFinishAreThere() {
        Skeleton none = Skeleton.of(WAITING, List.of(), LEXICON);
        assertThat(none.stands()).isFalse();
        assertThat(none.finished()).isFalse();
        assertThat(none.silentMs()).isEqualTo(WAITING.details().lengthMs());
        MatchRecord told = DemoLibrary.shown(WAITING, LEXICON);
        Skeleton all = Skeleton.of(told, List.of(), LEXICON);
        assertThat(all.stands()).isTrue();
        SecondPass.Progress p = SecondPass.progress(told, LEXICON);
        assertThat(all.questions()).isEqualTo(p.asked() - p.answered()).isPositive();
        assertThat(Skeleton.of(told, List.of(draft(100, Corner.A, Source.SCORE, "m")), LEXICON)
                        .stands())
                .isFalse();
    }
}
