package farglass.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class StudyOrderTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final String WHO = "odile-marrowen";
    private static final LocalDate DAY = LocalDate.of(2031, 5, 3);
    private static final List<MatchRecord> TAGGED = DemoLibrary.matches(LEXICON, 8);

    private static MatchRecord open(String id, LocalDate date, String attire, int minutes) {
        MatchRecord like = TAGGED.stream()
                .filter(r -> r.cornerOf(WHO).isPresent())
                .findFirst()
                .orElseThrow();
        MatchRecord.Details d = like.details();
        return MatchRecord.of(
                id,
                new MatchRecord.Details(
                        date,
                        d.event(),
                        d.round(),
                        d.division(),
                        attire,
                        "points-gi",
                        minutes * 60_000L,
                        d.a(),
                        d.b(),
                        null),
                List.of(),
                List.of());
    }

    private static List<StudyOrder.Choice> order(double hours, MatchRecord... open) {
        List<MatchRecord> all = new ArrayList<>(TAGGED);
        all.addAll(List.of(open));
        Profile profile = Profile.of(all, WHO, Filter.ALL, LEXICON, 1);
        return StudyOrder.of(all, profile, new StudyOrder.Aim(hours, "gi", "points-gi", DAY, 3.0));
    }

    private static List<String> ids(List<StudyOrder.Choice> choices) {
        return choices.stream().map(c -> c.record().id()).toList();
    }

    @Test
    void recentFilmInTheSameAttireComesFirst() {
        MatchRecord old = open("old", DAY.minusYears(6), "gi", 8);
        MatchRecord other = open("other", DAY.minusMonths(2), "no-gi", 8);
        MatchRecord recent = open("recent", DAY.minusMonths(2), "gi", 8);
        List<StudyOrder.Choice> chosen = order(10, old, other, recent);
        assertThat(ids(chosen)).containsExactly("recent", "other", "old");
        assertThat(chosen.get(1).relevance()).isCloseTo(chosen.get(0).relevance() / 2, within(1e-9));
        assertThat(chosen.get(2).relevance()).isCloseTo(0.25, within(0.01));
        for (StudyOrder.Choice c : chosen) {
            assertThat(c.value()).isPositive();
            assertThat(c.question()).isNotNull();
            assertThat(c.workMinutes()).isEqualTo(16);
        }
    }

    @Test
    void theHoursAreNeverExceededAndShortFilmsFillWhatIsLeft() {
        MatchRecord a = open("a", DAY.minusMonths(1), "gi", 10);
        MatchRecord b = open("b", DAY.minusMonths(1), "gi", 10);
        MatchRecord brief = open("brief", DAY.minusYears(3), "gi", 4);
        List<StudyOrder.Choice> chosen = order(0.5, a, b, brief);
        assertThat(chosen.stream().mapToDouble(StudyOrder.Choice::workMinutes).sum())
                .isLessThanOrEqualTo(30);
        assertThat(ids(chosen)).containsExactly("a", "brief");
    }

    @Test
    void aSecondLikeFilmBringsLessThanTheFirst() {
        List<StudyOrder.Choice> chosen =
                order(10, open("a", DAY.minusMonths(1), "gi", 8), open("b", DAY.minusMonths(1), "gi", 8));
        assertThat(chosen.get(1).value()).isLessThan(chosen.get(0).value());
    }

    @Test
    void taggedFilmAndOthersFilmIsNoCandidate() {
        assertThat(order(10)).isEmpty();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new StudyOrder.Aim(0, null, null, DAY, null))
                .withMessageContaining("hours (0.0)");
    }

    @Test
    void anAthleteNobodyHasTaggedIsOrderedByRelevance() {
        MatchRecord old = open("old", DAY.minusYears(6), "gi", 8);
        MatchRecord recent = open("recent", DAY.minusMonths(1), "gi", 8);
        List<MatchRecord> all = List.of(old, recent);
        Profile empty = Profile.of(all, WHO, Filter.ALL, LEXICON, 1);
        assertThat(ids(StudyOrder.of(all, empty, new StudyOrder.Aim(5, "gi", "points-gi", DAY, 3.0))))
                .containsExactly("recent", "old");
    }
}
