package farglass.store.server;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.LibraryTest;
import farglass.store.Samples;
import java.nio.file.Files;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** All that a library of one's own does, a mirror does too; and a second mirror then has it all from the team. */
class MirroredLibraryTest extends LibraryTest {
    private TeamAddress team;

    @BeforeEach
    void team() throws TeamException {
        team = TestServer.team();
    }

    @Override
    protected Library open() throws LibraryException {
        Library l = super.open();
        l.mirror().attach(team.url());
        return l;
    }

    @AfterEach
    void theTeamHasItAll() throws Exception {
        if (!Files.exists(folder.resolve("my.farglass"))) {
            return;
        }
        Library own;
        try {
            own = open();
        } catch (LibraryException e) {
            // a test of what cannot be opened
            return;
        }
        try (own;
                Library other = Library.open(folder.resolve("other.farglass"), Samples.NOON);
                TeamServer server = TeamServer.open(team)) {
            other.mirror().attach(team.url());
            new Exchange(own, server).both();
            new Exchange(other, server).both();
            assertThat(other.matches()).isEqualTo(own.matches());
            assertThat(other.plans()).isEqualTo(own.plans());
            assertThat(other.assignments()).isEqualTo(own.assignments());
            assertThat(own.mirror().state().orElseThrow().waiting()).isZero();
        } catch (TeamException e) {
            // a test of a record that cannot be read: it is not sent
            assertThat(e).hasMessageContaining("cannot be read").hasMessageContaining("Nothing was sent");
        }
    }
}
