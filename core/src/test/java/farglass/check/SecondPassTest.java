package farglass.check;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.start;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.OpenEnd;
import farglass.match.PositionLine;
import farglass.match.Records;
import farglass.match.Tag;
import farglass.phrase.Context;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import farglass.time.MatchTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class SecondPassTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final PhraseReader READER = new PhraseReader(LEXICON);

    private final MatchRecord record = Records.of(
            start(),
            at(0, "STD"),
            guard(5, "LAS", Corner.A),
            Tag.Action.of(MatchTime.ofMs(10_000), Corner.B, "knee-cut"),
            end(60));

    private static Reading read(MatchRecord r, double seconds, String phrase) {
        MatchTime t = MatchTime.ofMs(Math.round(seconds * 1000));
        return READER.read(
                phrase, new Context(r, t, PositionLine.of(r, LEXICON).current(t).orElse(null)));
    }

    private static MatchRecord with(MatchRecord r, double seconds, String phrase) {
        Reading reading = read(r, seconds, phrase);
        assertThat(reading.complete()).as(phrase + ": " + reading.problem()).isTrue();
        return OpenEnd.keep(r, reading.tags()).apply(r);
    }

    private static Tag last(MatchRecord r) {
        return r.tags().get(r.tags().size() - 2);
    }

    @Test
    void asksOneThingAfterTheOtherUntilAllIsSaid() {
        MatchRecord now = record;
        int asked = SecondPass.progress(record, LEXICON).asked();
        int answered = 0;
        for (var next = SecondPass.next(now, -1, LEXICON); next.isPresent(); next = SecondPass.next(now, -1, LEXICON)) {
            SecondPass.Question q = SecondPass.of(now, next.get(), LEXICON).orElseThrow();
            assertThat(q.choices()).hasSizeBetween(3, 9);
            now = Edit.replace(now, q.tag(), q.choices().get(1).tag()).apply(now);
            answered++;
            assertThat(SecondPass.progress(now, LEXICON).answered()).isEqualTo(answered);
        }
        assertThat(asked).isEqualTo(4);
        assertThat(answered).isEqualTo(asked);
        Tag.Action cut = (Tag.Action) now.tags().get(3);
        assertThat(cut.firstSide().code()).isEqualTo("right");
        assertThat(cut.reached()).isEqualTo(2);
        assertThat(cut.answer()).isEqualTo("frame");
    }

    @Test
    void gripsBeginAndEndByPhrase() {
        MatchRecord held = with(record, 12, "a sleeve right deep");
        MatchRecord two = with(held, 14, "b collar shallow");
        MatchRecord done = with(two, 20, "a sleeve broken");
        Tag.Grip sleeve = (Tag.Grip) done.tags().get(4);
        assertThat(sleeve.until().ms()).isEqualTo(20_000);
        assertThat(sleeve.ended()).isEqualTo("broken");
        assertThat(sleeve.depth()).isEqualTo("deep");
        assertThat(done.tags()).hasSameSizeAs(two.tags());
        MatchRecord both = with(done, 25, "released");
        assertThat(((Tag.Grip) both.tags().get(5)).ended()).isEqualTo("released");
        assertThat(read(both, 30, "broken").problem()).isEqualTo("no such grip is held now");
    }

    @Test
    void bodyFactsFeintsAndCheckpointsAreSaidInAPhrase() {
        MatchRecord flat = with(record, 15, "a posture broken");
        assertThat(((Tag.Body) last(flat)).fact()).isEqualTo("posture-broken");
        MatchRecord over = with(flat, 18, "posture broken over");
        assertThat(((Tag.Body) last(over)).until().ms()).isEqualTo(18_000);
        Tag.Action feint = (Tag.Action) last(with(record, 20, "b feint knee cut ignored"));
        assertThat(feint.target()).isEqualTo("knee-cut");
        assertThat(feint.believed()).isFalse();
        Tag.Action checked = (Tag.Action) last(with(record, 20, "b knee cut r2 +head-low -hip-turned"));
        assertThat(checked.checks()).isEqualTo(java.util.Map.of("head-low", true, "hip-turned", false));
        assertThat(read(record, 20, "flat").problem()).startsWith("of whom");
    }

    @Test
    void aBurstEndsOneGripAndBeginsAnother() {
        MatchRecord held = with(record, 12, "a sleeve deep");
        Tag ended = read(held, 14, "broken").tags().get(0);
        Tag fresh = read(held, 14, "b collar deep").tags().get(0);
        Edit edit = OpenEnd.keep(held, List.of(ended, fresh));
        MatchRecord after = edit.apply(held);
        assertThat(after.tags()).hasSize(held.tags().size() + 1);
        assertThat(edit.inverse().apply(after)).isEqualTo(held);
    }
}
