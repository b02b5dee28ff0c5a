package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.RecordKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class KnownGameTest {
    private static final MatchAthlete US = new MatchAthlete("us", "Us", null, null, Map.of());
    private static final MatchAthlete OTHER = new MatchAthlete("other", "Other", null, null, Map.of());

    private static MatchRecord match(String id, String... techniques) {
        List<Tag> tags = new ArrayList<>();
        tags.add(new Tag.Start(MatchTime.ZERO, TagInfo.NONE));
        tags.add(Tag.Position.of(MatchTime.ZERO, "STD", null, null));
        for (int i = 0; i < techniques.length; i++) {
            MatchTime t = MatchTime.ofMs(10_000 + 10_000L * i);
            tags.add(Tag.Action.of(t, Corner.A, techniques[i]).result(Outcome.STUFFED, 1, null, t));
        }
        tags.add(new Tag.End(MatchTime.ofMs(300_000), TagInfo.NONE));
        var details = new MatchRecord.Details(null, null, null, null, null, "points-gi", 480_000, US, OTHER, null);
        return MatchRecord.of(id, details, List.of(), tags);
    }

    private static KnownGame known(MatchRecord... records) {
        return KnownGame.of(LibraryIndex.of(List.of(records), Small.LEXICON), "us", Filter.ALL);
    }

    @Test
    void aHabitIsExpectedOneTryIsSeenTheRestIsNew() {
        KnownGame k = known(match("a", "double-leg", "double-leg", "single-leg"), match("b", "double-leg"));
        KnownGame.Seen habit = k.seen(ModelState.START, "double-leg");
        assertThat(habit.expectation()).isEqualTo(KnownGame.Expectation.EXPECTED);
        assertThat(habit.tries()).isEqualTo(3);
        assertThat(habit.matches()).isEqualTo(2);
        assertThat(habit.share()).isEqualTo(0.75);
        assertThat(habit.tags()).hasSize(3);
        assertThat(k.seen(ModelState.START, "single-leg").expectation()).isEqualTo(KnownGame.Expectation.SEEN);
        KnownGame.Seen none = k.seen(ModelState.of("SDC", 1), "armbar");
        assertThat(none.expectation()).isEqualTo(KnownGame.Expectation.NEW);
        assertThat(none.share()).isZero();
        assertThat(k.all()).extracting(KnownGame.Seen::technique).containsExactly("double-leg", "single-leg");
    }

    @Test
    void threeTriesInOneMatchAreNoHabitYet() {
        KnownGame k = known(match("a", "double-leg", "double-leg", "double-leg"));
        assertThat(k.seen(ModelState.START, "double-leg").expectation()).isEqualTo(KnownGame.Expectation.SEEN);
    }

    @Test
    void aRareActionAmongManyIsNotExpected() {
        String[] many = new String[20];
        java.util.Arrays.fill(many, "single-leg");
        many[0] = "double-leg";
        KnownGame k = known(match("a", many), match("b", many), match("c", many));
        assertThat(k.seen(ModelState.START, "double-leg").expectation()).isEqualTo(KnownGame.Expectation.SEEN);
        assertThat(k.seen(ModelState.START, "single-leg").expectation()).isEqualTo(KnownGame.Expectation.EXPECTED);
    }

    @Test
    void whatNobodyElseCanSeeIsNotKnown() {
        MatchRecord open = match("a", "double-leg");
        MatchRecord hidden = new Edit.SetPrivate(false, true).apply(match("b", "single-leg"));
        MatchRecord round = new Edit.SetKind(RecordKind.MATCH, RecordKind.ROUND).apply(match("c", "ankle-pick"));
        KnownGame k = known(open, hidden, round);
        assertThat(k.matches()).isEqualTo(1);
        assertThat(k.all()).extracting(KnownGame.Seen::technique).containsExactly("double-leg");
        assertThat(round.isPrivate())
                .as("a round is private until somebody says otherwise")
                .isTrue();
        MatchRecord shown = new Edit.SetPrivate(true, false).apply(round);
        assertThat(shown.isPrivate()).isFalse();
        assertThat(new Edit.SetPrivate(true, false).inverse().apply(shown)).isEqualTo(round);
        assertThatThrownBy(() -> new Edit.SetPrivate(true, false).apply(open))
                .isInstanceOf(IllegalStateException.class);
    }
}
