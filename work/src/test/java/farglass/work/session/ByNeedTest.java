package farglass.work.session;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.tendency.Filter;
import farglass.tendency.KeptCounts;
import farglass.tendency.LibraryIndex;
import farglass.work.OpenSession;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Work on a library that is read by need. */
class ByNeedTest {
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED);
    private static final int KEPT = 30;

    @TempDir
    private Path folder;

    private OpenSession open;
    private Session session;

    @BeforeEach
    void open() throws Exception {
        Library library = Library.open(folder.resolve("my.farglass"), OpenSession.NOON);
        library.addAll(DEMO.subList(0, KEPT));
        boolean more = true;
        while (more) {
            more = library.heads().keepUp(Lexicon.builtIn());
        }
        open = new OpenSession(LibraryContent.of(library, 0));
        session = open.session();
    }

    @AfterEach
    void close() {
        open.close();
    }

    /** What is shown says what the library says when all of it is read. */
    private void saysWhatIsKept() throws Exception {
        open.settled();
        List<MatchRecord> whole = open.library().matches();
        String who = DEMO.get(0).details().a().id();
        LibraryIndex index = session.index();
        assertThat(Profile.of(index, who, Filter.ALL, 1).claims())
                .isEqualTo(Profile.of(LibraryIndex.of(whole, session.lexicon()), who, Filter.ALL, 1)
                        .claims());
        assertThat(session.records().all()).isEqualTo(whole);
        assertThat(open.problems()).isEmpty();
    }

    @Test
    void changesAreFollowed() throws Exception {
        saysWhatIsKept();
        MatchRecord r = session.records().match(DEMO.get(0).id()).orElseThrow();
        open.on(() -> session.records().edit(r.id(), new Edit.Remove(3, r.tags().get(3))));
        saysWhatIsKept();
        open.on(() -> session.records().undo(r.id()));
        saysWhatIsKept();
        open.on(() -> session.records().setRemoved(r.id(), true));
        open.settled();
        assertThat(session.records().match(r.id())).isEmpty();
        saysWhatIsKept();
        open.on(() -> session.records().setRemoved(r.id(), false));
        saysWhatIsKept();
        open.on(() -> session.records().add(DEMO.subList(KEPT, KEPT + 2), () -> {}));
        saysWhatIsKept();
        open.library().addAll(DEMO.subList(KEPT + 2, KEPT + 4));
        open.on(() -> session.records().readAnew());
        open.settled();
        assertThat(session.records().all()).hasSize(KEPT + 4);
        saysWhatIsKept();
    }

    @Test
    void aSmallLibraryIsReadWholeAndALargeOneIsNot() throws Exception {
        assertThat(LibraryContent.of(open.library()).counts()).isSameAs(KeptCounts.NONE);
        assertThat(LibraryContent.of(open.library(), KEPT).counts()).isSameAs(KeptCounts.NONE);
        assertThat(LibraryContent.of(open.library(), KEPT - 1).counts()).isNotSameAs(KeptCounts.NONE);
        Upkeep.now(open.library());
    }
}
