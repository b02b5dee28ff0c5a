package farglass.rules;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.held;
import static farglass.match.Records.resume;
import static farglass.match.Records.start;
import static farglass.match.Records.stop;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.agreement.Versions;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Records;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class RestartTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @Test
    void whoStandsWorseAfterARestartIsTold() {
        MatchRecord r =
                Records.of(start(), at(0, "STD"), held(10, "MNT", Corner.A), stop(20), resume(20, "STD"), end(60));
        List<Restart> restarts = Restart.of(r, LEXICON);
        assertThat(restarts).hasSize(1);
        Restart one = restarts.get(0);
        assertThat(one.loser()).isEqualTo(Corner.A);
        assertThat(one.lost()).isCloseTo(0.75, within(1e-9));
        assertThat(one.from()).isEqualTo("MNT");
        assertThat(one.t()).isEqualTo(Records.s(20));
    }

    @Test
    void aRestartInTheSamePlaceIsNone() {
        MatchRecord r = Records.of(start(), at(0, "STD"), stop(20), resume(20, "STD"), end(60));
        assertThat(Restart.of(r, LEXICON)).isEmpty();
    }

    @Test
    void versionsSayWhatIsDifferent() {
        MatchRecord r = Records.of(start(), at(0, "STD"), held(10, "MNT", Corner.A), end(60));
        MatchRecord less = Edit.remove(r, 2).apply(r);
        Versions v = Versions.of(r, less);
        assertThat(v.added()).isEmpty();
        assertThat(v.removed()).containsExactly(r.tags().get(2));
        assertThat(Versions.of(r, r).same()).isTrue();
        MatchRecord round = new Edit.SetKind(RecordKind.MATCH, RecordKind.ROUND).apply(r);
        assertThat(Versions.of(r, round).head()).isTrue();
    }

    @Test
    void rulesetsHaveDays() throws RulesetException {
        Ruleset gi = Rulesets.builtIn().of("points-gi", null).orElseThrow();
        String old = RulesetReader.write(gi)
                .replace("\"from\" : null", "\"from\" : \"2020-01-01\"")
                .replace("\"to\" : null", "\"to\" : \"2028-12-31\"")
                .replaceFirst("\"sweep\" : 2", "\"sweep\" : 1");
        Rulesets both = Rulesets.builtIn().with(List.of(RulesetReader.read(old)));
        assertThat(both.orUsual("points-gi", LocalDate.of(2028, 5, 1)).value("sweep"))
                .isEqualTo(1);
        assertThat(both.orUsual("points-gi", LocalDate.of(2029, 5, 1)).value("sweep"))
                .isEqualTo(2);
        assertThat(both.orUsual("no such rules", null).code()).isEqualTo("points-gi");
    }
}
