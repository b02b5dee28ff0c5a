package farglass.phrase;

import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.start;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TagQueryTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static final MatchRecord RECORD = Records.named(
            "m",
            LocalDate.of(2030, 1, 1),
            "brisa",
            "odile",
            start(),
            guard(1, "LAS", Corner.A),
            action(2, Corner.A, "lasso-sweep", Side.LEFT, Outcome.NEAR, 2),
            action(3, Corner.A, "lasso-sweep", Side.RIGHT, Outcome.COMPLETED, 4),
            action(4, Corner.B, "knee-cut", Side.RIGHT, Outcome.STUFFED, 1),
            action(5, Corner.B, "toreando", Side.RIGHT, Outcome.NEAR, 3),
            new Tag.Grip(Records.s(6), Corner.A, "sleeve-same", Side.LEFT, "deep", null, null, TagInfo.NONE),
            held(7, "MNT", Corner.B),
            end(9));

    private static Tag.Action action(double t, Corner by, String technique, Side side, Outcome outcome, int reached) {
        return Tag.Action.of(Records.s(t), by, technique).sided(side).result(outcome, reached, null, null);
    }

    private static TagQuery.Reading read(String text) {
        return TagQuery.read(
                text,
                LEXICON,
                List.of(RECORD.details().a().name(), RECORD.details().b().name()));
    }

    @ParameterizedTest
    @CsvSource({
        "lasso sweep, 2 3",
        "lasso sweep left, 2",
        "sweeps near or completed, 2 3",
        "sweep 3+, 3",
        "passes, 4 5",
        "knee cuts right, 4",
        "passes right near, 5",
        "brisa, 2 3",
        "odile right, 4 5",
        "near, 2 5",
        "mount, 7",
        "sleeve, 6",
        "sleeve right, ''",
        "lasso, 1",
        "all knee cuts and toreandos, 4 5",
        "mount near, ''"
    })
    void findsWhatIsAskedFor(String text, String indices) {
        TagQuery.Reading read = read(text);
        assertThat(read.problem()).isEmpty();
        assertThat(read.query().in(RECORD, LEXICON).stream()
                        .map(String::valueOf)
                        .collect(Collectors.joining(" ")))
                .isEqualTo(indices);
    }

    @Test
    void saysWhichWordsMeanNothing() {
        assertThat(read("moon sweeps to the leftish").problem()).isEqualTo("moon leftish");
        assertThat(read("").query().in(RECORD, LEXICON))
                .as("nothing asked: every attempt")
                .hasSize(4);
    }
}
