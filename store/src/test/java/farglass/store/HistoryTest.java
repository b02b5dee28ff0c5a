package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Who changed what when. */
class HistoryTest {
    @TempDir
    private Path folder;

    private MatchRecord record;

    private Library open() throws LibraryException {
        return Library.open(folder.resolve("l.farglass"), Samples.NOON);
    }

    @BeforeEach
    void fill() throws Exception {
        record = DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).get(0);
        try (Library l = open()) {
            l.addAll(List.of(record));
        }
    }

    private static Edit add(MatchRecord r, long ms) {
        return Edit.add(r, Tag.Action.of(MatchTime.ofMs(ms), Corner.A, "knee-cut"));
    }

    @Test
    void everyEditIsKeptWithItsTimeItsMakerAndWhetherItStands() throws Exception {
        try (Library l = open()) {
            assertThat(l.history(record.id())).isEmpty();
            l.author("Ines");
            MatchRecord one = l.apply(record.id(), add(record, 1000));
            l.author(null);
            l.apply(record.id(), add(one, 2000));
            l.undo(record.id());
        }
        try (Library l = open()) {
            List<Library.Step> steps = l.history(record.id());
            assertThat(steps).extracting(Library.Step::n).containsExactly(1, 2);
            assertThat(steps).extracting(Library.Step::by).containsExactly("Ines", null);
            assertThat(steps).extracting(Library.Step::stands).containsExactly(true, false);
            assertThat(steps).allSatisfy(s -> assertThat(s.at()).isEqualTo(Samples.NOON.instant()));
            MatchRecord now = l.match(record.id()).orElseThrow();
            assertThat(steps.get(0).edit().inverse().apply(now)).isEqualTo(record);
        }
    }

    @Test
    void anEditAfterAnUndoTakesThePlaceOfWhatWasUndone() throws Exception {
        try (Library l = open()) {
            l.apply(record.id(), add(record, 1000));
            l.undo(record.id());
            l.apply(record.id(), add(record, 3000));
            List<Library.Step> steps = l.history(record.id());
            assertThat(steps).hasSize(1);
            assertThat(((Edit.Add) steps.get(0).edit()).tag().t().ms()).isEqualTo(3000);
        }
    }

    @Test
    void aRecordBecomesOneOfAnotherKindAndBackAgain() throws Exception {
        try (Library l = open()) {
            MatchRecord round = l.apply(record.id(), new Edit.SetKind(RecordKind.MATCH, RecordKind.ROUND));
            assertThat(round.kind()).isEqualTo(RecordKind.ROUND);
        }
        try (Library l = open()) {
            assertThat(l.match(record.id()).orElseThrow().kind()).isEqualTo(RecordKind.ROUND);
            assertThat(l.undo(record.id()).orElseThrow()).isEqualTo(record);
        }
    }

    @Test
    void aRecordIsKeptFromOutsidersAndShownAgain() throws Exception {
        try (Library l = open()) {
            assertThat(l.apply(record.id(), new Edit.SetPrivate(false, true)).isPrivate())
                    .isTrue();
        }
        try (Library l = open()) {
            assertThat(l.match(record.id()).orElseThrow().isPrivate()).isTrue();
            assertThat(l.undo(record.id()).orElseThrow()).isEqualTo(record);
        }
    }

    @Test
    void whatIsSetIsReadAllAtOnce() throws Exception {
        try (Library l = open()) {
            l.set("b", "2");
            l.set("a", "1");
            l.set("b", "3");
        }
        try (Library l = open()) {
            assertThat(l.settings()).containsEntry("a", "1").containsEntry("b", "3");
        }
    }
}
