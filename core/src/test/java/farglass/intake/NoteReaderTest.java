package farglass.intake;

import static farglass.match.Records.at;
import static farglass.match.Records.start;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.draft.Draft;
import farglass.draft.DraftList;
import farglass.draft.NoteDrafts;
import farglass.draft.Source;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class NoteReaderTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final MatchRecord RECORD = MatchRecord.of(
            "m",
            new MatchRecord.Details(
                    null,
                    null,
                    null,
                    null,
                    "gi",
                    "points-gi",
                    360_000,
                    MatchAthlete.of("brisa", "Brisa Tolendt", null, null),
                    MatchAthlete.of("odile", "Odile Marrowen", null, null),
                    null),
            List.of(),
            List.of(start(), at(0, "STD")));
    private static final List<String> HEAD = List.of("Clock", "Fighter", "Move", "Lado", "Worked", "Comments", "x");
    private static final List<List<String>> ROWS = List.of(
            List.of("5:50", "Tolendt", "guard pull", "", "yes", "", "1"),
            List.of("5:30", "Odile Marrowen", "knee slice", "R", "no", "hips too high", "2"),
            List.of("5:10", "Tolendt", "gnarly sweep", "L", "almost", "", "3"),
            List.of("late", "Tolendt", "triangle", "", "", "", "4"),
            List.of("4:00", "", "", "", "", "she looks tired", "5"),
            List.of("9:99", "Tolendt", "triangle", "", "", "", "6"));

    private static List<NoteColumn> roles() {
        return NoteColumn.guess(HEAD, ROWS, List.of("Brisa Tolendt", "Odile Marrowen"), LEXICON);
    }

    private static NoteReader reader(Map<String, String> terms) {
        return new NoteReader(RECORD, LEXICON, roles(), terms, true);
    }

    @Test
    void columnsAreGuessedFromTheirHeadsAndElseFromWhatStandsInThem() {
        assertThat(roles())
                .containsExactly(
                        NoteColumn.TIME,
                        NoteColumn.WHO,
                        NoteColumn.WHAT,
                        NoteColumn.SIDE,
                        NoteColumn.RESULT,
                        NoteColumn.NOTE,
                        NoteColumn.IGNORE);
        assertThat(NoteColumn.guess(
                        List.of("c1", "c2", "c3", "c4"),
                        List.of(
                                List.of("1:20", "tolendt", "knee cut", "left"),
                                List.of("2:00", "marrowen", "armbar", "r")),
                        List.of("Brisa Tolendt", "Odile Marrowen"),
                        LEXICON))
                .containsExactly(NoteColumn.TIME, NoteColumn.WHO, NoteColumn.WHAT, NoteColumn.SIDE);
    }

    @Test
    void rowsBecomeTagsAndWhatIsNotUnderstoodSaysWhy() {
        List<NoteReader.Row> rows = reader(Map.of()).read(ROWS);
        assertThat(rows).hasSize(6);
        Tag.Action pull = (Tag.Action) rows.get(0).tags().get(0);
        assertThat(pull.by()).isEqualTo(Corner.A);
        assertThat(pull.t().ms()).as("the clock counts down").isEqualTo(10_000);
        assertThat(pull.outcome()).isEqualTo(Outcome.COMPLETED);
        assertThat(rows.get(0).tags().get(1)).as("where they are then").isInstanceOf(Tag.Position.class);
        assertThat(rows.get(2).unknown()).isEqualTo("gnarly sweep");
        assertThat(rows.get(2).tags()).isEmpty();
        assertThat(rows.get(3).problem()).contains("\"late\" is not a time");
        assertThat(rows.get(4).tags()).hasOnlyElementsOfType(Tag.Remark.class);
        assertThat(rows.get(5).problem()).contains("not a time of this match");
    }

    @Test
    void wordsOfTheNotesAreTaughtOnce() {
        List<NoteReader.Row> rows = reader(Map.of("gnarly sweep", "lasso sweep", "knee slice", "knee cut"))
                .read(ROWS);
        Tag.Action sweep = (Tag.Action) rows.get(2).tags().get(0);
        assertThat(sweep.technique()).isEqualTo("lasso-sweep");
        assertThat(sweep.sides()).containsExactly(Side.LEFT);
        assertThat(sweep.outcome()).isEqualTo(Outcome.NEAR);
        Tag.Action cut = (Tag.Action) rows.get(1).tags().get(0);
        assertThat(cut.by()).isEqualTo(Corner.B);
        assertThat(((Tag.Remark) rows.get(1).tags().get(1)).text()).isEqualTo("hips too high");
    }

    @Test
    void whatWasUnderstoodIsProposedAndNothingElse() {
        NoteReader reader = reader(Map.of("gnarly sweep", "lasso sweep"));
        List<NoteReader.Row> rows = reader.read(ROWS);
        List<Draft> drafts = NoteDrafts.of(rows, "old.csv");
        assertThat(drafts).hasSize(rows.stream().mapToInt(r -> r.tags().size()).sum());
        assertThat(drafts)
                .allMatch(d ->
                        d.source() == Source.NOTES && d.bases().get(0).from().equals("old.csv"));
        assertThat(DraftList.empty(RECORD.id()).with(drafts, RECORD, LEXICON).open(RECORD, LEXICON, 0))
                .isNotEmpty();
    }
}
