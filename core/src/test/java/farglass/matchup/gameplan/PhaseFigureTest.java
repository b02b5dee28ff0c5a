package farglass.matchup.gameplan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Link;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import farglass.matchup.gameplan.PhaseFigure.Whose;
import farglass.matchup.model.Ending;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PhaseFigureTest {
    private static final double MONTE_CARLO = 0.03;

    private static MeetingSolution solved(String opponent, String rules) {
        return Small.demo(opponent, rules, SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
    }

    @ParameterizedTest
    @CsvSource({"brisa-tolendt, points-gi", "odile-marrowen, points-nogi", "brisa-tolendt, submission-only"})
    void itIsSmallAndItsSharesAreThoseOfTheMatch(String opponent, String rules) {
        MeetingSolution s = solved(opponent, rules);
        PhaseFigure f = PhaseFigure.of(s);
        assertThat(f.boxes()).hasSizeBetween(6, 12).doesNotHaveDuplicates();
        for (Phase p : Phase.values()) {
            assertThat(f.boxes(p)).isNotEmpty();
            assertThat(f.shown(p)).isBetween(0.2, 1.0001);
        }
        double won = f.boxes(Phase.FINISH).stream()
                .filter(b -> b.key().whose() == Whose.OURS)
                .mapToDouble(Box::submissions)
                .sum();
        assertThat(won).isCloseTo(s.flow().endings().getOrDefault(Ending.WON_BY_SUBMISSION, 0.0), within(MONTE_CARLO));
        for (Box b : f.boxes()) {
            assertThat(out(f, b)).isLessThanOrEqualTo(b.share() + 1e-9);
            assertThat(in(f, b)).isLessThanOrEqualTo(b.share() + 1e-9);
        }
        assertThat(f.links()).isNotEmpty().allSatisfy(l -> {
            assertThat(column(l.to())).isEqualTo(column(l.from()) + 1);
            assertThat(f.box(l.from())).isPresent();
            assertThat(f.box(l.to())).isPresent();
        });
    }

    private static int column(PhaseFigure.Key k) {
        return List.of(Phase.values()).indexOf(k.phase());
    }

    private static double out(PhaseFigure f, Box b) {
        return f.links().stream()
                .filter(l -> l.from().equals(b.key()))
                .mapToDouble(Link::share)
                .sum();
    }

    private static double in(PhaseFigure f, Box b) {
        return f.links().stream()
                .filter(l -> l.to().equals(b.key()))
                .mapToDouble(Link::share)
                .sum();
    }

    @Test
    void whatSomebodyDidRestsOnTagsAndOpensSomewhere() {
        PhaseFigure f = PhaseFigure.of(solved("brisa-tolendt", "points-gi"));
        assertThat(f.boxes(Phase.START))
                .filteredOn(b -> b.key().whose() != Whose.NOBODY)
                .allSatisfy(b -> {
                    assertThat(b.tags()).isNotEmpty().doesNotHaveDuplicates();
                    assertThat(b.then()).isNotNull();
                    assertThat(b.minutes()).isBetween(0.0, 8.0);
                });
        assertThat(f.boxes(Phase.CONTACT))
                .allSatisfy(b -> assertThat(b.then().key()).isEqualTo(b.key().what()));
        assertThat(f.boxes(Phase.ANSWER)).extracting(b -> b.key().whose()).contains(Whose.OURS, Whose.THEIRS);
    }

    @Test
    void nothingOverlapsAndWaysFitTheirBoxes() {
        PhaseFigure f = PhaseFigure.of(solved("brisa-tolendt", "points-gi"));
        PhaseLayout layout = PhaseLayout.of(f, 600, b -> 30 + 10 * b.share(), 6);
        for (Phase p : Phase.values()) {
            double y = -1;
            for (Box b : f.boxes(p)) {
                PhaseLayout.Spot spot = layout.spots().get(b.key());
                assertThat(spot.y()).isGreaterThan(y);
                assertThat(spot.x()).isBetween(0.0, 600 - spot.w() + 1e-9);
                y = spot.y() + spot.h();
            }
            assertThat(y).isLessThanOrEqualTo(layout.height() + 1e-9);
        }
        assertThat(layout.bands()).hasSameSizeAs(f.links()).allSatisfy(band -> {
            PhaseLayout.Spot from = layout.spots().get(band.link().from());
            assertThat(band.y1() - band.thick() / 2).isGreaterThanOrEqualTo(from.y());
            assertThat(band.y1() + band.thick() / 2).isLessThanOrEqualTo(from.y() + from.h());
            assertThat(band.x2()).isGreaterThan(band.x1());
        });
    }

    @Test
    void namesAreWhole() {
        PhaseFigure f = PhaseFigure.of(solved("brisa-tolendt", "points-gi"));
        PhaseText text = new PhaseWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa").text(f);
        assertThat(f.boxes()).allSatisfy(b -> {
            assertThat(text.name(b)).isNotBlank().doesNotContain("...", "\u2026", "?");
            assertThat(text.note(b)).contains("%");
        });
        assertThat(f.boxes(Phase.FINISH)).extracting(text::name).contains("Ansa wins", "Brisa wins");
        assertThat(text.legend()).contains("4,000 matches");
    }
}
