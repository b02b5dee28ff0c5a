package farglass.store.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.store.Library;
import farglass.store.Samples;
import farglass.store.TeamChange;
import farglass.team.TeamRole;
import farglass.time.MatchTime;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a login can read and write by SQL, whatever program it uses. */
class TeamRightsTest {
    private static final String ANSA = "ansa-kellivar";

    @TempDir
    private Path folder;

    private TeamAddress owner;

    @BeforeEach
    void fill() throws Exception {
        owner = TestServer.team();
        try (Library l = mirror("owner", owner)) {
            l.add(Samples.record("ansas"));
            MatchRecord others = Samples.record("others");
            MatchRecord.Details d = others.details();
            l.add(others.withDetails(new MatchRecord.Details(
                    d.date(),
                    null,
                    null,
                    null,
                    "gi",
                    "points-gi",
                    480_000,
                    MatchAthlete.of("odile-marrowen", "Odile Marrowen", null, null),
                    d.b(),
                    null)));
            MatchRecord round = Samples.record("round");
            l.add(new MatchRecord("round", RecordKind.ROUND, round.details(), List.of(), round.tags(), Map.of()));
            l.save(Samples.plan());
            l.set("ruleset own", "{}");
            exchange(l, owner);
        }
    }

    private Library mirror(String name, TeamAddress at) throws Exception {
        Library l = Library.open(folder.resolve(name + ".farglass"), Samples.NOON);
        l.mirror().attach(at.url());
        return l;
    }

    private static Exchange.Done exchange(Library l, TeamAddress at) throws Exception {
        try (TeamServer server = TeamServer.open(at)) {
            return new Exchange(l, server).both();
        }
    }

    private static List<String> rows(TeamAddress login, String query) throws SQLException {
        String user = login.url().replaceFirst(".*user=", "");
        try (Connection c = TestServer.connect(TestServer.database(login), user);
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery(query)) {
            List<String> rows = new ArrayList<>();
            while (r.next()) {
                rows.add(r.getString(1));
            }
            return rows;
        }
    }

    @Test
    void anAthleteReadsNothingButHisOwn() throws Exception {
        TeamAddress athlete = TestServer.member(owner, "ansa", TeamRole.ATHLETE, ANSA);
        assertThat(rows(athlete, "SELECT item FROM farglass.item WHERE kind = 'match' ORDER BY 1"))
                .containsExactly("ansas", "round");
        assertThat(rows(athlete, "SELECT DISTINCT item FROM farglass.change WHERE kind = 'match' ORDER BY 1"))
                .containsExactly("ansas", "round");
        assertThat(rows(athlete, "SELECT count(*) FROM farglass.item WHERE document LIKE '%Odile%'"))
                .containsExactly("0");
        assertThat(rows(athlete, "SELECT count(*) FROM farglass.change WHERE body LIKE '%Odile%'"))
                .containsExactly("0");
        assertThat(rows(athlete, "SELECT login FROM farglass.member")).hasSize(1);
        assertThat(rows(athlete, "SELECT mirror FROM farglass.presence")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "SELECT * FROM farglass.item, pg_sleep(0) FOR UPDATE",
                "UPDATE farglass.item SET athletes = '{ansa-kellivar}'",
                "UPDATE farglass.member SET role = 'owner'",
                "INSERT INTO farglass.member VALUES (session_user, 'owner')",
                "DELETE FROM farglass.change",
                "TRUNCATE farglass.change",
                "ALTER TABLE farglass.item DISABLE ROW LEVEL SECURITY",
                "DROP POLICY seen ON farglass.item",
                "CREATE TABLE farglass.mine (x int)",
                "CREATE FUNCTION farglass.role_of_caller() RETURNS text LANGUAGE sql AS 'SELECT ''owner'''",
                "SET SESSION AUTHORIZATION postgres",
                "SET ROLE postgres",
                "COPY farglass.item TO '/tmp/x'",
                "SELECT * FROM farglass.flyway_schema_history",
                "SELECT pg_read_file('/etc/passwd')"
            })
    void noStatementOpensMore(String statement) throws Exception {
        TeamAddress athlete = TestServer.member(owner, "ansa", TeamRole.ATHLETE, ANSA);
        assertThatThrownBy(() -> rows(athlete, statement)).isInstanceOf(SQLException.class);
        assertThat(rows(owner, "SELECT count(*) FROM farglass.change")).containsExactly("5");
    }

    @Test
    void aFunctionThatLooksAtRowsIsShownNoneThatAreHidden() throws Exception {
        TeamAddress athlete = TestServer.member(owner, "ansa", TeamRole.ATHLETE, ANSA);
        String leak = "CREATE FUNCTION pg_temp.look(text) RETURNS boolean LANGUAGE plpgsql COST 0.0001 AS"
                + " $$ BEGIN RAISE NOTICE '%', $1; RETURN true; END $$";
        String user = athlete.url().replaceFirst(".*user=", "");
        try (Connection c = TestServer.connect(TestServer.database(athlete), user);
                Statement s = c.createStatement()) {
            s.execute(leak);
            s.executeQuery("SELECT item FROM farglass.item WHERE pg_temp.look(document)")
                    .close();
            for (var w = s.getWarnings(); w != null; w = w.getNextWarning()) {
                assertThat(w.getMessage()).doesNotContain("Odile");
            }
        }
    }

    @Test
    void theirMirrorHoldsNoMoreThanThat() throws Exception {
        TeamAddress athlete = TestServer.member(owner, "ansa", TeamRole.ATHLETE, ANSA);
        try (Library l = mirror("athlete", athlete)) {
            exchange(l, athlete);
            assertThat(l.matches()).extracting(MatchRecord::id).containsExactlyInAnyOrder("ansas", "round");
            MatchRecord r = l.match("ansas").orElseThrow();
            l.apply("ansas", Edit.add(r, Samples.sweep(5000)));
            assertThat(exchange(l, athlete).refused()).isEqualTo(1);
            assertThat(l.match("ansas")).contains(r);
            assertThat(l.mirror().clashes()).extracting(c -> c.fields().get(0)).containsExactly("refused");
        }
    }

    @Test
    void aTrainingRoundStaysWithWhomItBelongsTo() throws Exception {
        TeamAddress analyst = TestServer.member(owner, "omar", TeamRole.ANALYST, null);
        String matches = "SELECT item FROM farglass.item WHERE kind = 'match' ORDER BY 1";
        assertThat(rows(analyst, matches)).containsExactly("ansas", "others");
        try (TeamServer server = TeamServer.open(analyst)) {
            TeamChange edit = new TeamChange(
                    "x1",
                    TeamChange.Kind.MATCH,
                    "round",
                    2,
                    TeamChange.Act.REMOVED,
                    null,
                    null,
                    Samples.NOON.instant(),
                    null,
                    null,
                    null);
            assertThatThrownBy(() -> server.append("m", List.of(edit))).hasMessageContaining("not yours");
        }
        assertThat(rows(TestServer.member(owner, "coach", TeamRole.COACH, null), matches))
                .contains("round");
    }

    @Test
    void aCoachRemarksAndPlansAndTagsNothing() throws Exception {
        TeamAddress coach = TestServer.member(owner, "coach", TeamRole.COACH, null);
        try (Library l = mirror("coach", coach);
                Library own = mirror("owner", owner)) {
            exchange(l, coach);
            MatchRecord r = l.match("ansas").orElseThrow();
            Tag.Remark remark = new Tag.Remark(
                    MatchTime.ofMs(4000),
                    RemarkKind.NOTE,
                    Corner.A,
                    null,
                    "too high",
                    null,
                    null,
                    Map.of(),
                    TagInfo.NONE);
            r = l.apply("ansas", Edit.add(r, remark));
            assertThat(exchange(l, coach).refused()).isZero();
            l.apply("ansas", Edit.add(r, Samples.sweep(5000)));
            l.save(Samples.plan());
            Exchange.Done done = exchange(l, coach);
            assertThat(done.refused()).isEqualTo(1);
            assertThat(done.sent()).isEqualTo(1);
            exchange(own, owner);
            assertThat(own.match("ansas")).contains(r);
            assertThat(l.match("ansas")).contains(r);
        }
    }

    @Test
    void whoLeavesReadsNothing() throws Exception {
        TeamAddress omar = TestServer.member(owner, "omar", TeamRole.ANALYST, null);
        assertThat(TeamSetup.members(owner)).hasSize(2);
        TeamSetup.leave(owner, omar.url().replaceFirst(".*user=", ""));
        assertThat(TeamSetup.members(owner)).hasSize(1);
        assertThatThrownBy(() -> TeamServer.open(omar).team()).isInstanceOf(TeamException.class);
        TestServer.run("postgres", "postgres", "CREATE ROLE stranger" + TestServer.database(owner) + " LOGIN");
        TeamAddress stranger = TestServer.address(TestServer.database(owner), "stranger" + TestServer.database(owner));
        assertThatThrownBy(() -> rows(stranger, "SELECT 1 FROM farglass.item")).isInstanceOf(SQLException.class);
    }

    @Test
    void anAddressHoldsNoPassword() {
        assertThatThrownBy(() -> new TeamAddress("jdbc:postgresql://h/d?password=x"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("never kept");
        assertThatThrownBy(() -> new TeamAddress("jdbc:postgresql://a:b@h/d"))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new TeamAddress("http://h/d")).isInstanceOf(IllegalArgumentException.class);
        assertThat(new TeamAddress("jdbc:postgresql://far.example/d")
                        .properties()
                        .getProperty("sslmode"))
                .isEqualTo("verify-full");
        assertThat(new TeamAddress("jdbc:postgresql://localhost/d").properties().getProperty("sslmode"))
                .isNull();
        assertThat(new TeamAddress("jdbc:postgresql://far.example/d?sslmode=require")
                        .properties()
                        .getProperty("sslmode"))
                .isEqualTo("require");
    }
}
