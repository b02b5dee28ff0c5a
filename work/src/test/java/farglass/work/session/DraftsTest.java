package farglass.work.session;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.draft.Basis;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.Source;
import farglass.draft.SourceRecord;
import farglass.draft.SpeechLag;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import farglass.work.OpenSession;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is proposed stands beside the records: shown at once, written in order, taken back in the order of doing. */
class DraftsTest {
    private static final MatchRecord WAITING = DemoLibrary.waiting(Lexicon.builtIn());
    private static final String ID = WAITING.id();

    @TempDir
    private Path folder;

    private OpenSession open;
    private Session session;

    @BeforeEach
    void open() throws Exception {
        open = OpenSession.of(folder.resolve("my.farglass"), List.of(WAITING));
        session = open.session();
    }

    @AfterEach
    void close() {
        open.close();
    }

    private static Draft said(double s, Corner by, String technique, double confidence) {
        Tag tag = Tag.Action.of(MatchTime.ofMs(Math.round(1000 * s)), by, technique)
                .builder()
                .outcome(Outcome.STUFFED)
                .build();
        return Draft.of(tag, null, -1, new Basis(Source.CAPTIONS, "said.vtt", confidence, "words", -1));
    }

    private MatchRecord record() {
        return session.records().match(ID).orElseThrow();
    }

    private List<DraftList.Judged> judged() {
        return session.drafts().judged(record());
    }

    private List<DraftFate> fates() {
        return judged().stream().map(DraftList.Judged::fate).toList();
    }

    private Draft draft(int i) {
        return judged().get(i).draft();
    }

    private void propose() throws Exception {
        open.on(() -> {
            int fresh = session.drafts()
                    .add(
                            ID,
                            List.of(
                                    said(20, Corner.A, "knee-cut", 0.9),
                                    said(50, Corner.B, "triangle", 0.9),
                                    said(80, Corner.A, "leg-drag", 0.6)));
            assertThat(fresh).isEqualTo(3);
        });
        open.settled();
    }

    @Test
    void theyAreShownAtOnceToldToListenersAndKept() throws Exception {
        List<String> told = new ArrayList<>();
        session.listen(new SessionListener() {
            @Override
            public void draftsChanged(String match) {
                told.add(match);
            }
        });
        propose();
        assertThat(told).containsOnly(ID).isNotEmpty();
        assertThat(fates()).containsExactly(DraftFate.OPEN, DraftFate.OPEN, DraftFate.OPEN);
        assertThat(record()).as("nothing counts before it is taken").isEqualTo(WAITING);
        assertThat(open.library().drafts()).containsExactly(session.drafts().of(ID));
        assertThat(session.drafts().add("nobody's", List.of(said(1, Corner.A, "armbar", 0.9))))
                .isZero();
    }

    @Test
    void theSureOnesAreTakenInOneEditThatOneUndoTakesBack() throws Exception {
        propose();
        open.on(() -> session.drafts().take(ID, List.of(draft(0), draft(1)), false));
        open.settled();
        assertThat(fates()).containsExactly(DraftFate.TAKEN, DraftFate.TAKEN, DraftFate.OPEN);
        assertThat(record().tags())
                .filteredOn(t -> "captions".equals(t.info().extra().get("source")))
                .hasSize(2)
                .allSatisfy(t -> assertThat(t.info().confidence()).isEqualTo(0.9));
        open.on(() -> session.records().undo(ID));
        open.settled();
        assertThat(record()).isEqualTo(WAITING);
        assertThat(fates()).containsOnly(DraftFate.OPEN);
    }

    @Test
    void aRefusalIsTakenBackUnlessSomethingElseWasDoneSince() throws Exception {
        propose();
        open.on(() -> session.drafts().refuse(ID, draft(2).id()));
        assertThat(fates()).containsExactly(DraftFate.OPEN, DraftFate.OPEN, DraftFate.REFUSED);
        open.on(() -> assertThat(session.drafts().undoRefusal(ID)).isTrue());
        assertThat(fates()).containsOnly(DraftFate.OPEN);
        open.on(() -> assertThat(session.drafts().undoRefusal(ID)).isFalse());
        open.on(() -> session.drafts().refuse(ID, draft(2).id()));
        open.on(() -> session.drafts().take(ID, List.of(draft(0)), true));
        open.settled();
        open.on(() -> assertThat(session.drafts().undoRefusal(ID))
                .as("the tag was taken after it")
                .isFalse());
        open.on(() -> session.records().undo(ID));
        open.settled();
        open.on(() -> assertThat(session.drafts().undoRefusal(ID))
                .as("that is taken back now")
                .isTrue());
        open.settled();
        assertThat(open.library().drafts()).containsExactly(session.drafts().of(ID));
    }

    @Test
    void whatIsCorrectedCountsAgainstItsSourceAndTheSourceIsHeardLessLoud() throws Exception {
        propose();
        double before = draft(2).confidence();
        open.on(() -> session.drafts()
                .take(ID, draft(0), List.of(Tag.Action.of(MatchTime.ofMs(20_000), Corner.B, "knee-cut"))));
        open.on(() -> session.drafts().refuse(ID, draft(1).id()));
        open.settled();
        assertThat(fates()).containsExactly(DraftFate.CHANGED, DraftFate.REFUSED, DraftFate.OPEN);
        assertThat(session.drafts().sources().get(Source.CAPTIONS))
                .satisfies(r ->
                        assertThat(List.of(r.taken(), r.changed(), r.refused())).containsExactly(0, 1, 1));
        assertThat(draft(2).confidence()).isLessThan(before);
        assertThat(session.drafts().lagMs()).isEqualTo(SpeechLag.USUAL_MS);
        open.on(() -> session.drafts().reopen(ID, draft(1).id()));
        assertThat(fates()).containsExactly(DraftFate.CHANGED, DraftFate.OPEN, DraftFate.OPEN);
    }

    @Test
    void whatSourcesWereWorthIsCountedAnewWhenALibraryIsOpened() throws Exception {
        propose();
        open.on(() -> session.drafts().take(ID, List.of(draft(0)), true));
        open.on(() -> session.drafts().refuse(ID, draft(1).id()));
        open.settled();
        List<DraftList> kept = open.library().drafts();
        open.on(() -> session.drafts().replace(kept));
        for (int i = 0; i < 200 && captions().judged() < 2; i++) {
            Thread.sleep(20);
            open.settled();
        }
        assertThat(captions().taken()).isEqualTo(1);
        assertThat(captions().refused()).isEqualTo(1);
        open.on(() -> session.records().undo(ID));
        open.settled();
        assertThat(captions().taken()).as("what is taken back counts no more").isZero();
    }

    private SourceRecord captions() {
        return session.drafts().sources().get(Source.CAPTIONS);
    }

    @Test
    void whatCannotBeWrittenIsShownAsItWas() throws Exception {
        propose();
        open.library().close();
        open.on(() -> session.drafts().refuse(ID, draft(0).id()));
        open.settled();
        assertThat(open.problems()).isNotEmpty();
        assertThat(fates()).containsOnly(DraftFate.OPEN);
    }
}
