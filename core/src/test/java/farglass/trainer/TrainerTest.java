package farglass.trainer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Records;
import farglass.match.Tag;
import farglass.time.Segment;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TrainerTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2031, 5, 1);

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void exercisesHaveEnoughInThemAndNothingGivenAway(int level) {
        Exercise e = Exercise.make(level, DAY, 7, LEXICON);
        assertThat(Exercise.make(level, DAY, 7, LEXICON)).isEqualTo(e);
        assertThat(e.truth().tags().stream().filter(Tag.Action.class::isInstance))
                .hasSizeGreaterThanOrEqualTo(6);
        assertThat(e.empty().tags()).hasSize(2);
        assertThat(e.empty().details().result()).isNull();
        assertThat(e.empty().kind()).as("stays out of rates").isEqualTo(RecordKind.ROUND);
        assertThat(Exercise.is(e.empty())).isTrue();
        boolean replay = e.truth().clock().segments().stream().anyMatch(s -> s.kind() == Segment.Kind.REPLAY);
        assertThat(replay).isEqualTo(level > 1);
        boolean bothWhite =
                e.truth().details().a().colour().equals(e.truth().details().b().colour());
        assertThat(bothWhite).isEqualTo(level == 3);
        assertThatIllegalArgumentException().isThrownBy(() -> Exercise.make(4, DAY, 7, LEXICON));
    }

    @Test
    void aLateLearnerIsToldByHowMuchAndTheReactionFollows() {
        MatchRecord truth = Exercise.make(1, DAY, 9, LEXICON).truth();
        List<Tag> late = truth.tags().stream()
                .map(t -> t instanceof Tag.Action a ? (Tag) a.at(a.t().plus(700)) : t)
                .toList();
        Mark m = Mark.of(truth, truth.withTags(late), LEXICON);
        assertThat(m.delayMs()).isCloseTo(700, within(1e-9));
        assertThat(m.reaction(300)).isEqualTo(1000);
        assertThat(m.agreement().f1()).isEqualTo(1);
        assertThat(m.confusions()).isEmpty();
        Mark none = Mark.of(truth, truth.withTags(List.of(Records.start(), Records.end(60))), LEXICON);
        assertThat(none.delayMs()).isNaN();
        assertThat(none.reaction(300)).isEqualTo(300);
    }

    @Test
    void placesTakenForEachOtherAreListedByTheirSeconds() {
        MatchRecord truth = Records.of(
                Records.start(),
                Records.at(0, "STD"),
                Records.guard(10, "LAS", Corner.A),
                Records.guard(40, "HFG", Corner.A),
                Records.end(60));
        MatchRecord seen = Records.of(
                Records.start(),
                Records.at(0, "STD"),
                Records.guard(11, "SPD", Corner.A),
                Records.guard(40, "KNS", Corner.A),
                Records.end(60));
        List<Mark.Confusion> c = Mark.of(truth, seen, LEXICON).confusions();
        assertThat(c).extracting(Mark.Confusion::truth).containsExactly("LAS", "HFG");
        assertThat(c.get(0).taken()).isEqualTo("SPD");
        assertThat(c.get(0).ms()).isEqualTo(29_000);
        assertThat(c.get(0).t()).isEqualTo(Records.s(11));
    }
}
