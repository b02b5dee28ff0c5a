package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.RecordKind;
import farglass.match.Records;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Tag;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What comes next, the end of the match among it. */
class TransitionTest {
    private static Map<Situation, List<Transition>> of(Corner me, MatchRecord r) {
        return Transition.of(MatchFacts.of(r, Lexicon.builtIn()), me);
    }

    private static MatchRecord back(Tag... last) {
        List<Tag> tags = new java.util.ArrayList<>(List.of(
                start(),
                at(0, "STD"),
                does(10, Corner.A, "double-leg", "SDC"),
                held(10, "SDC", Corner.A),
                does(30, Corner.A, "back-take", "BCK"),
                held(30, "BCK", Corner.A)));
        tags.addAll(List.of(last));
        return Records.of(tags.toArray(Tag[]::new));
    }

    private static Tag.Action choke(double from, double until) {
        return tries(from, Corner.A, "rear-choke").result(Outcome.COMPLETED, 4, null, Records.s(until));
    }

    @Test
    void aTapIsWhatComesNextForBoth() {
        MatchRecord r = back(choke(50, 60), end(60));
        Transition own = of(Corner.A, r).get(new Situation("BCK", Role.HOLDER)).get(0);
        assertThat(own.to()).isEqualTo(Transition.FINISHED);
        assertThat(own.by()).isEqualTo("self");
        assertThat(own.technique()).isEqualTo("rear-choke");
        Transition other = of(Corner.B, r).get(new Situation("BCK", Role.UNDER)).get(0);
        assertThat(other.to()).isEqualTo(Transition.SUBMITTED);
        assertThat(other.by()).isEqualTo("other");
        assertThat(other.category()).isNotEqualTo(own.category());
    }

    @Test
    void theBellAfterTheTapAndALockBetweenChangeNothing() {
        Tag.Position lock = held(52, "LCK", Corner.A)
                .builder()
                .technique("rear-choke")
                .threat(3)
                .build();
        List<Transition> fromLock =
                of(Corner.A, back(choke(50, 60), lock, end(63))).get(new Situation("BCK", Role.HOLDER));
        assertThat(fromLock).extracting(Transition::to).containsExactly("LCK", Transition.FINISHED);
    }

    @Test
    void whatFailedOrRanOutOfTimeIsNoEnd() {
        Tag near = tries(50, Corner.A, "rear-choke").result(Outcome.NEAR, 3, null, Records.s(55));
        assertThat(of(Corner.A, back(near, end(60)))).doesNotContainKey(new Situation("BCK", Role.HOLDER));
    }

    @Test
    void aTrainingRoundGoesOn() {
        MatchRecord match = back(choke(50, 60), end(60));
        MatchRecord round = new MatchRecord(
                match.id(), RecordKind.ROUND, match.details(), match.films(), match.tags(), match.extra());
        assertThat(of(Corner.A, round)).doesNotContainKey(new Situation("BCK", Role.HOLDER));
    }

    @Test
    void aLockFromAGuardCountsAsGuard() {
        Tag.Position lock = held(20, "LCK", Corner.B)
                .builder()
                .technique("triangle")
                .threat(2)
                .build();
        MatchRecord r = Records.of(
                start(),
                at(0, "STD"),
                does(5, Corner.B, "guard-pull", "CLG"),
                guard(5, "CLG", Corner.B),
                tries(18, Corner.B, "triangle"),
                lock,
                guard(30, "CLG", Corner.B),
                end(60));
        assertThat(of(Corner.B, r).get(new Situation("CLG", Role.GUARD))).hasSize(2);
        assertThat(of(Corner.A, r)).doesNotContainKey(new Situation("CLG", Role.UNDER));
    }
}
