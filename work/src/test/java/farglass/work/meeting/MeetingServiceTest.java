package farglass.work.meeting;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class MeetingServiceTest {
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED);

    private static Meeting meeting(List<MatchRecord> records, String attire) {
        MeetingService.Ask ask = new MeetingService.Ask(
                "ansa-kellivar",
                "brisa-tolendt",
                Rulesets.builtIn().of("points-gi", null).orElseThrow(),
                attire,
                LocalDate.of(2031, 5, 3),
                480_000);
        return MeetingService.meeting(
                LibraryIndex.of(records, Lexicon.builtIn()), ask, SolverSettings.USUAL.coarse(), Constraints.NONE);
    }

    @Test
    void matchesInTheAttireOfTheMatchCount() {
        Meeting gi = meeting(DEMO, "gi");
        assertThat(gi.question().filter().attire()).isEqualTo("gi");
        assertThat(gi.matches(false)).isLessThan(meeting(DEMO, null).matches(false));
    }

    @Test
    void whereTheseAreTooFewAllCount() {
        List<MatchRecord> noGi =
                DEMO.stream().filter(r -> "no-gi".equals(r.details().attire())).toList();
        Meeting widened = meeting(noGi, "gi");
        assertThat(widened.question().filter().attire()).isNull();
        assertThat(widened.enough()).isTrue();
    }

    @Test
    void whereNothingIsEnoughItSaysSo() {
        assertThat(meeting(DEMO.subList(0, 2), "gi").enough()).isFalse();
    }
}
