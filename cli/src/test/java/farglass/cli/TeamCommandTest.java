package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.store.server.TestServer;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A team's library from the command line, on a real server. */
class TeamCommandTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2031-04-12T12:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private String team;
    private Path one;
    private Path two;

    private static Ran run(Object... args) {
        return Ran.of(NOON, args);
    }

    @BeforeEach
    void fill() throws Exception {
        team = TestServer.team().url();
        one = folder.resolve("one.farglass");
        two = folder.resolve("two.farglass");
        try (Library l = Library.open(one, NOON)) {
            l.addAll(DemoLibrary.matches(Lexicon.builtIn(), 3).subList(0, 3));
        }
    }

    private static MatchRecord first(Path file) throws Exception {
        try (Library l = Library.read(file, NOON)) {
            return l.matches().get(0);
        }
    }

    @Test
    void aLibraryBecomesAMirrorAndAnotherMachineHasItAll() throws Exception {
        assertThat(run("team", "status", one).json().get("mirror").asBoolean()).isFalse();
        assertThat(run("team", "push", one, "--team", team).json().get("sent").asInt())
                .isEqualTo(3);
        JsonNode pulled = run("team", "pull", two, "--team", team).json();
        assertThat(pulled.get("changed").get("match").asInt()).isEqualTo(3);
        try (Library a = Library.read(one, NOON);
                Library b = Library.read(two, NOON)) {
            assertThat(b.matches()).isEqualTo(a.matches());
        }
        JsonNode status = run("team", "status", two).json();
        assertThat(status.get("reached").asBoolean()).isTrue();
        assertThat(status.get("waiting").asInt()).isZero();
        assertThat(status.get("behind").asInt()).isZero();
        assertThat(run("verify", two).json().get("good").asBoolean()).isTrue();
    }

    @Test
    void aClashIsListedAndDecided() throws Exception {
        run("team", "push", one, "--team", team);
        run("team", "pull", two, "--team", team);
        MatchRecord r = first(one);
        try (Library l = Library.open(one, NOON)) {
            l.apply(r.id(), new Edit.SetDetails(r.details(), r.details().ruleset("sub-only")));
        }
        try (Library l = Library.open(two, NOON)) {
            l.apply(r.id(), new Edit.SetDetails(r.details(), r.details().ruleset("points-no-gi")));
        }
        run("team", "push", one);
        assertThat(run("team", "push", two).json().get("clashes").asInt()).isEqualTo(1);
        JsonNode clashes = run("team", "clashes", two).json();
        assertThat(clashes.get(0).get("fields").get(0).asText()).isEqualTo("ruleset");
        assertThat(first(two).details().ruleset()).isEqualTo("sub-only");
        String id = clashes.get(0).get("id").asText();
        assertThat(run("team", "clashes", two, "--decide", id).code()).isEqualTo(CliMain.BAD_ARGUMENTS);
        assertThat(run("team", "clashes", two, "--decide", id, "--mine").json()).isEmpty();
        run("team", "push", two);
        run("team", "pull", one);
        assertThat(first(one).details().ruleset()).isEqualTo("points-no-gi");
    }

    @Test
    void wrongAddressesAreAnsweredAndMakeNothing() {
        Ran away = run("team", "pull", two, "--team", "jdbc:postgresql://localhost:1/bay");
        assertThat(away.code()).isEqualTo(CliMain.UNREADABLE);
        assertThat(away.err()).contains("cannot be reached");
        assertThat(two).doesNotExist();
        Ran secret = run("team", "init", "--team", "jdbc:postgresql://localhost/bay?password=x");
        assertThat(secret.code()).isEqualTo(CliMain.BAD_ARGUMENTS);
        assertThat(secret.err()).contains("never kept");
        assertThat(run("team", "pull", one, "--team", team).err()).contains("a library of its own");
        assertThat(run("team", "push", one).err()).contains("no mirror of a team");
        assertThat(run("team", "pull", two).code()).isEqualTo(CliMain.BAD_ARGUMENTS);
    }

    @Test
    void whatIsConfirmedWhileTheServerIsAwayWaits() throws Exception {
        run("team", "push", one, "--team", team);
        try (Library l = Library.open(one, NOON)) {
            l.mirror().attach("jdbc:postgresql://localhost:1/bay");
        }
        MatchRecord r = first(one);
        try (Library l = Library.open(one, NOON)) {
            l.apply(r.id(), Edit.remove(r, 0));
        }
        assertThat(run("team", "push", one).code()).isEqualTo(CliMain.UNREADABLE);
        Ran status = run("team", "status", one);
        assertThat(status.json().get("reached").asBoolean()).isFalse();
        assertThat(status.json().get("waiting").asInt()).isEqualTo(1);
        assertThat(run("team", "push", one, "--team", team).json().get("sent").asInt())
                .isEqualTo(1);
    }

    @Test
    void membersAreListedAndRolesChecked() throws Exception {
        JsonNode members =
                run("team", "member", "postgres", "owner", "--team", team).json();
        assertThat(members.get(0).get("role").asText()).isEqualTo("owner");
        assertThat(run("team", "member", "postgres", "king", "--team", team).code())
                .isEqualTo(CliMain.BAD_ARGUMENTS);
        assertThat(run("team", "member", "postgres", "athlete", "--team", team).err())
                .contains("--athlete");
        assertThat(run("team", "member", "nobody-here", "coach", "--team", team).err())
                .contains("no such login");
    }
}
