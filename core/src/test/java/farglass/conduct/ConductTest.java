package farglass.conduct;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Corner A is our athlete. */
class ConductTest {
    private static final Lexicon LEXICON = Lexicon.builtIn().withCheckpoints(Map.of("knee-cut", List.of("underhook")));
    private static final MatchAthlete A = new MatchAthlete("ansa", "Ansa", null, null, Map.of());
    private static final MatchAthlete B = new MatchAthlete("brisa", "Brisa", null, null, Map.of());

    private static MatchTime at(double seconds) {
        return MatchTime.ofMs(Math.round(1000 * seconds));
    }

    private static MatchRecord match(String id, double end, Tag... tags) {
        List<Tag> all = new ArrayList<>(List.of(new Tag.Start(at(0), TagInfo.NONE)));
        all.addAll(Arrays.asList(tags));
        all.add(new Tag.End(at(end), TagInfo.NONE));
        var details = new MatchRecord.Details(null, null, null, null, null, "points-gi", 480_000, A, B, null);
        return MatchRecord.of(id, details, List.of(), all);
    }

    private static Tag grip(double t, Corner by, String code, Double until) {
        return new Tag.Grip(at(t), by, code, null, null, until == null ? null : at(until), null, TagInfo.NONE);
    }

    private static Tag body(double t, Corner of, String fact, Double until) {
        return new Tag.Body(at(t), of, fact, null, until == null ? null : at(until), TagInfo.NONE);
    }

    private static Tag.Action act(double t, Corner by, String technique) {
        return Tag.Action.of(at(t), by, technique).result(Outcome.NEAR, 2, null, at(t + 1));
    }

    private static Tag place(double t, String code, Corner holder, Corner guard) {
        return Tag.Position.of(at(t), code, holder, guard);
    }

    private static Measure measure(String text) {
        ClauseReader.Reading r = ClauseReader.read(text, LEXICON);
        assertThat(r.problem()).as(text).isNull();
        return r.measure();
    }

    private static List<Boolean> judged(String clause, MatchRecord r) {
        return measure(clause).occasions(Watched.of(r, Corner.A, LEXICON)).stream()
                .map(Measure.Occasion::met)
                .toList();
    }

    @Test
    void aGripSoonAfterEveryRestart() {
        MatchRecord r = match(
                "m",
                200,
                grip(4, Corner.A, "collar-cross", 20.0),
                new Tag.Stop(at(60), "out-of-bounds", TagInfo.NONE),
                new Tag.Resume(at(60), null, null, null, TagInfo.NONE),
                grip(72, Corner.A, "collar-same", 80.0),
                new Tag.Stop(at(100), "out-of-bounds", TagInfo.NONE),
                new Tag.Resume(at(100), null, null, null, TagInfo.NONE),
                grip(103, Corner.B, "collar-same", 110.0),
                // stopped again before ten seconds were over: no occasion
                new Tag.Stop(at(150), "medical", TagInfo.NONE),
                new Tag.Resume(at(150), null, null, null, TagInfo.NONE),
                new Tag.Stop(at(155), "medical", TagInfo.NONE),
                new Tag.Resume(at(155), null, null, null, TagInfo.NONE),
                grip(164.9, Corner.A, "collar-same", 170.0));
        assertThat(judged("Collar grip within ten seconds of every restart.", r))
                .containsExactly(true, false, false, true);
        assertThat(judged("our collar within 13 s after every restart", r)).containsExactly(true, true, false, true);
        assertThat(judged("their collar grip in 10 s of every restart", r)).containsExactly(false, false, true, false);
    }

    @Test
    void flatForTwoSecondsAtMost() {
        MatchRecord r = match(
                "m",
                100,
                body(10, Corner.A, "flat", 12.0),
                body(20, Corner.A, "flat", 22.001),
                body(30, Corner.A, "flat", null),
                body(40, Corner.B, "flat", 60.0));
        assertThat(judged("flat on our back for at most two seconds at a time", r))
                .containsExactly(true, false, null);
    }

    @Test
    void aPlaceIsNotKeptForLong() {
        MatchRecord r = match(
                "m",
                100,
                place(0, "STD", null, null),
                place(10, "CLG", Corner.A, Corner.B),
                place(25, "STD", null, null),
                place(40, "CLG", Corner.A, Corner.B),
                place(70, "STD", null, null),
                place(80, "CLG", Corner.B, Corner.A),
                place(99, "CLG", Corner.A, Corner.B));
        // the last one was cut short by the end
        assertThat(judged("their closed guard at most 20 s", r)).containsExactly(true, false);
        assertThat(judged("our closed guard at most 20 s", r)).containsExactly(true);
    }

    @Test
    void noPassWithTheirSleeveGrip() {
        MatchRecord r = match(
                "m",
                100,
                place(0, "OPN", Corner.A, Corner.B),
                grip(5, Corner.B, "sleeve-same", 12.0),
                act(10, Corner.A, "knee-cut"),
                act(15, Corner.A, "toreando"),
                act(16, Corner.B, "scissor-sweep"),
                grip(20, Corner.B, "sleeve-cross", null),
                act(25, Corner.A, "leg-drag"));
        // of the last grip nobody has said when it ended
        assertThat(judged("no pass begun with their sleeve grip on", r)).containsExactly(false, true, null);
        assertThat(judged("no pass without our sleeve", r)).containsExactly(false, false, false);
    }

    @Test
    void aCheckpointIsAsked() {
        MatchRecord r = match(
                "m",
                100,
                act(10, Corner.A, "knee-cut").checked("underhook", true),
                act(20, Corner.A, "knee-cut").checked("underhook", false),
                act(30, Corner.A, "knee-cut"));
        assertThat(judged("no knee cut without underhook", r)).containsExactly(true, false, null);
    }

    @Test
    void soManyInAMatch() {
        MatchRecord r = match("m", 100, act(10, Corner.A, "double-leg"), act(20, Corner.A, "single-leg"));
        assertThat(judged("at least two takedowns", r)).containsExactly(true);
        assertThat(judged("at least 3 takedowns", r)).containsExactly(false);
        assertThat(judged("at most 1 takedown", r)).containsExactly(false);
        assertThat(judged("no guard pull", r)).containsExactly(true);
        assertThat(judged("never double leg", r)).containsExactly(false);
        Measure.Occasion first = measure("at most 1 takedown")
                .occasions(Watched.of(r, Corner.A, LEXICON))
                .get(0);
        assertThat(r.tags().get(first.tag())).isEqualTo(act(20, Corner.A, "single-leg"));
    }

    @Test
    void countsMatchesTogetherAndLeavesOutWhereNobodyLooked() {
        MatchRecord one = match("one", 100, grip(3, Corner.A, "collar-same", 9.0));
        MatchRecord two = match("two", 100, grip(30, Corner.A, "collar-same", 39.0));
        MatchRecord none = match("none", 100, act(3, Corner.A, "double-leg"));
        Compliance kept = Compliance.of(
                measure("collar grip within 10 s of every restart"), List.of(one, two, none), "ansa", LEXICON);
        assertThat(kept.met()).isEqualTo(1);
        assertThat(kept.of()).isEqualTo(2);
        assertThat(kept.matches()).isEqualTo(2);
        assertThat(kept.unlooked()).isEqualTo(1);
        assertThat(kept.wholly()).isFalse();
        assertThat(kept.share().lo()).isLessThan(0.5);
        assertThat(kept.share().hi()).isGreaterThan(0.5);
        assertThat(kept.trials().get(0).tag().match()).isEqualTo("one");
        Compliance other = Compliance.of(measure("at least 1 takedown"), List.of(one), "juno", LEXICON);
        assertThat(other.matches()).isZero();
        assertThat(other.wholly()).isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"be brave", "win the first grip fight", "stay calm at most 3 s", "", "at least 2"})
    void whatCannotBeMeasuredIsSaid(String text) {
        ClauseReader.Reading r = ClauseReader.read(text, LEXICON);
        assertThat(r.measure()).isNull();
        assertThat(r.problem()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({
        "wobbly guard at most 3 s, wobbly guard",
        "no pass with their cape, cape",
        "at least 2 cartwheels of joy, cartwheels of joy"
    })
    void theUnknownWordIsNamed(String text, String word) {
        assertThat(ClauseReader.read(text, LEXICON).problem()).contains("\"" + word + "\"");
    }

    @Test
    void aClauseNeedsWordsAndANumber() {
        assertThatThrownBy(() -> new Clause("x", "", "no guard pull")).hasMessageContaining("x");
        assertThatThrownBy(() -> new Clause("c1", "", " ")).hasMessageContaining("words");
    }
}
