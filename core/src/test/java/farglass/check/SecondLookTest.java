package farglass.check;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.note;
import static farglass.match.Records.resume;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.stop;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;

class SecondLookTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static List<String> looks(Tag... tags) {
        return SecondLook.of(Records.of(tags), LEXICON).stream()
                .map(l -> l.why() + " at " + l.t() + " of tag " + l.tag())
                .toList();
    }

    private static Tag.Call points(double seconds, Corner who) {
        return new Tag.Call(s(seconds), CallKind.POINTS, who, 2, true, null, null, TagInfo.NONE);
    }

    private static Tag.Action pass(double seconds) {
        return tries(seconds, Corner.A, "knee-cut").sided(Side.LEFT);
    }

    @Test
    void aFullyTaggedStretchAsksForNothing() {
        assertThat(looks(
                        start(),
                        at(0, "STD"),
                        does(10, Corner.B, "guard-pull", "CLG").sided(Side.LEFT),
                        guard(10, "CLG", Corner.B),
                        pass(25),
                        does(40, Corner.A, "knee-cut", "SDC").sided(Side.RIGHT),
                        held(42, "SDC", Corner.A),
                        points(46, Corner.A),
                        end(60)))
                .isEmpty();
    }

    @Test
    void longSilenceIsToldWhereItBegins() {
        assertThat(looks(start(), at(0, "STD"), note(5, "x"), note(34.9, "y"), end(64.9)))
                .containsExactly("NOTHING_TAGGED at 0:34.900 of tag 3");
        assertThat(looks(start(), at(0, "STD"), note(5, "x"), note(34.9, "y"), end(64.8)))
                .isEmpty();
    }

    @Test
    void aMatchThatStandsIsNotSilent() {
        assertThat(looks(start(), at(0, "STD"), note(20, "x"), stop(25), resume(25, "STD"), note(40, "y"), end(60)))
                .isEmpty();
    }

    @Test
    void aChangeOfPlaceWantsAnAttemptOrAReason() {
        assertThat(looks(start(), at(0, "STD"), held(20, "SDC", Corner.A), note(30, "x"), end(50)))
                .containsExactly("NO_CAUSE at 0:20.000 of tag 2");
        Tag.Position given = held(20, "SDC", Corner.A).caused(Cause.CONCEDED);
        assertThat(looks(start(), at(0, "STD"), given, note(30, "x"), end(50))).isEmpty();
        assertThat(looks(start(), at(0, "STD"), stop(20), resume(20, "CLG"), note(30, "x"), end(50)))
                .as("the referee placed them")
                .isEmpty();
    }

    @Test
    void sidesAndLevelsAreAskedForUnlessTheyCannotBeSeen() {
        Tag.Action bare = Tag.Action.of(s(20), Corner.A, "knee-cut");
        assertThat(looks(start(), at(0, "STD"), bare, end(40))).containsExactly("NO_SIDE at 0:20.000 of tag 2");
        assertThat(looks(start(), at(0, "STD"), bare.sided(Side.NOT_VISIBLE), end(40)))
                .containsExactly("NO_LEVEL at 0:20.000 of tag 2");
        assertThat(looks(start(), at(0, "STD"), pass(20), end(40))).isEmpty();
    }

    @Test
    void pointsWantSomethingTheyAreFor() {
        assertThat(looks(start(), at(0, "STD"), pass(5), points(19, Corner.A), end(40)))
                .isEmpty();
        assertThat(looks(start(), at(0, "STD"), pass(5), points(21, Corner.A), end(40)))
                .containsExactly("POINTS_FOR_NOTHING at 0:21.000 of tag 3");
        assertThat(looks(start(), at(0, "STD"), pass(5), points(10, Corner.B), end(30)))
                .containsExactly("POINTS_FOR_NOTHING at 0:10.000 of tag 3");
    }

    @Test
    void placesComeInTimeOrderAndNameTagsThatExist() {
        for (MatchRecord r : DemoLibrary.matches(LEXICON, 16)) {
            List<SecondLook.Look> looks = SecondLook.of(r, LEXICON);
            assertThat(looks).isSortedAccordingTo((x, y) -> x.t().compareTo(y.t()));
            assertThat(looks).allMatch(l -> l.tag() >= 0 && l.tag() < r.tags().size());
            assertThat(looks).noneMatch(l -> l.why() == SecondLook.Why.NO_LEVEL);
        }
    }
}
