package farglass.matchup.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Uncertainty;
import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.SolverSettings;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;

/** Opponents whose truth is known: is a plan made from twenty matches nearly as good as one that knows? */
class TruthTest {
    private static final int OPPONENTS = 20;
    private static final int MATCHES = 20;
    private static final int DRAWS = 40;
    private static final SolverSettings DIAL = SolverSettings.USUAL.emphasis(1).coarse();
    private static final MatchAthlete US = new MatchAthlete("us", "Us", null, null, Map.of());

    private static MatchAthlete them(int i) {
        return new MatchAthlete("them" + i, "Them " + i, null, null, Map.of());
    }

    private static Meeting meeting(List<MatchRecord> library, int i) {
        return Meeting.of(
                LibraryIndex.of(library, Small.LEXICON),
                new Meeting.Question(
                        "us",
                        "them" + i,
                        Small.rules("submission-only"),
                        Filter.ALL.halfLife(null),
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        DIAL,
                        Constraints.NONE));
    }

    @Test
    void thePlanLosesLittleAgainstOneThatKnowsAndTheIntervalHoldsTheTruth() {
        Meeting prior = Small.demo("odile-marrowen", "submission-only", DIAL, Constraints.NONE);
        List<MatchRecord> others = DemoLibrary.matches(Small.LEXICON, DemoLibrary.SEED);
        double lost = 0;
        int held = 0;
        for (int i = 0; i < OPPONENTS; i++) {
            BackwardInduction truth =
                    new BackwardInduction(prior.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(100 + i)), DIAL);
            FullSimulator film = new FullSimulator(truth, null, US, them(i));
            List<MatchRecord> library = new ArrayList<>(others);
            for (int n = 0; n < MATCHES; n++) {
                library.add(film.record(1000L * i + n));
            }
            Meeting m = meeting(library, i);
            BackwardInduction known = new BackwardInduction(m.model(), DIAL);
            Policy plan = known.best(BackwardInduction.Answer.NEVER).policy();
            lost += truth.best(BackwardInduction.Answer.NEVER).win()
                    - truth.win(plan.over(known, truth), BackwardInduction.Answer.NEVER);
            double[] draws = new double[DRAWS];
            for (int d = 0; d < DRAWS; d++) {
                Model drawn = m.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(7000L + d));
                draws[d] = new BackwardInduction(drawn, DIAL).win(null, BackwardInduction.Answer.NEVER);
            }
            Uncertainty.Range r = Uncertainty.Range.of(draws);
            double win = truth.natural().win();
            held += win >= r.lo() && win <= r.hi() ? 1 : 0;
        }
        assertThat(lost / OPPONENTS).as("win chance lost for not knowing").isBetween(0.0, 0.02);
        assertThat(held / (double) OPPONENTS).as("truths inside nine tenths").isBetween(0.8, 0.98);
    }
}
