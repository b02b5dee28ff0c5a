package farglass.store.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.plan.Plan;
import farglass.store.Library;
import farglass.store.Mirror;
import farglass.store.Restoring;
import farglass.store.Samples;
import farglass.store.TeamChange;
import farglass.time.MatchTime;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two mirrors of one team, on a real server. */
class ExchangeTest {
    private static final String MATCH = "m1";

    @TempDir
    private Path folder;

    private TeamAddress team;
    private final List<Library> open = new ArrayList<>();
    private Library ines;
    private Library omar;

    @BeforeEach
    void start() throws Exception {
        team = TestServer.team();
        ines = mirror("ines");
        ines.add(Samples.record(MATCH));
        exchange(ines);
        omar = mirror("omar");
        exchange(omar);
    }

    @AfterEach
    void end() {
        open.forEach(Library::close);
    }

    private Library mirror(String name) throws Exception {
        Library l = Library.open(folder.resolve(name + ".farglass"), Samples.NOON);
        l.author(name);
        l.mirror().attach(team.url());
        open.add(l);
        return l;
    }

    private Exchange.Done exchange(Library l) throws Exception {
        try (TeamServer server = TeamServer.open(team)) {
            return new Exchange(l, server).both();
        }
    }

    private static MatchRecord record(Library l) throws Exception {
        return l.match(MATCH).orElseThrow();
    }

    private static void tag(Library l, long ms, String technique) throws Exception {
        MatchRecord r = record(l);
        Tag.Action a = Tag.Action.of(MatchTime.ofMs(ms), Corner.A, technique);
        l.apply(MATCH, Edit.addAll(r, TagIds.name(r, List.of(a))));
    }

    private static void change(Library l, String technique, Side side) throws Exception {
        MatchRecord r = record(l);
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a && a.technique().equals(technique)) {
                l.apply(MATCH, Edit.replace(r, i, a.sided(side)));
            }
        }
    }

    private static List<String> techniques(Library l) throws Exception {
        return record(l).tags().stream()
                .filter(Tag.Action.class::isInstance)
                .map(t -> ((Tag.Action) t).technique() + " " + ((Tag.Action) t).side())
                .toList();
    }

    private static Mirror.State state(Library l) throws Exception {
        return l.mirror().state().orElseThrow();
    }

    private void same() throws Exception {
        exchange(ines);
        exchange(omar);
        exchange(ines);
        assertThat(record(ines)).isEqualTo(record(omar));
        assertThat(ines.plans()).isEqualTo(omar.plans());
        assertThat(state(ines).waiting()).isZero();
        assertThat(state(omar).waiting()).isZero();
        try (TeamServer server = TeamServer.open(team)) {
            assertThat(server.item(TeamChange.Kind.MATCH, MATCH).orElseThrow().document())
                    .isEqualTo(farglass.store.json.MatchJson.write(record(ines)));
        }
    }

    @Test
    void whatOneTagsTheOtherHas() throws Exception {
        tag(ines, 5000, "knee-cut");
        assertThat(exchange(ines).sent()).isEqualTo(1);
        Exchange.Done done = exchange(omar);
        assertThat(done.changed().get(TeamChange.Kind.MATCH)).containsExactly(MATCH);
        assertThat(techniques(omar)).containsExactly("knee-cut null");
        assertThat(omar.history(MATCH)).extracting(Library.Step::by).containsExactly("ines");
        assertThat(exchange(omar).changed()).isEmpty();
    }

    @Test
    void whatBothDidMeanwhileStands() throws Exception {
        for (int i = 0; i < 5; i++) {
            tag(ines, 1000L * i, "knee-cut");
            tag(omar, 1000L * i + 500, "armbar");
        }
        omar.undo(MATCH);
        same();
        assertThat(techniques(ines)).hasSize(9);
        assertThat(record(ines).tags())
                .extracting(t -> t.info().id())
                .filteredOn(Objects::nonNull)
                .doesNotHaveDuplicates();
        assertThat(omar.history(MATCH)).hasSize(11);
    }

    @Test
    void undoTakesBackOnesOwn() throws Exception {
        tag(ines, 1000, "knee-cut");
        exchange(ines);
        exchange(omar);
        tag(omar, 2000, "armbar");
        tag(omar, 3000, "triangle");
        same();
        assertThat(ines.undo(MATCH)).isPresent();
        assertThat(ines.undo(MATCH)).as("there is no more of hers").isEmpty();
        same();
        assertThat(techniques(omar)).containsExactly("armbar null", "triangle null");
        assertThat(ines.canRedo(MATCH)).isTrue();
        ines.redo(MATCH);
        omar.undo(MATCH);
        omar.undo(MATCH);
        omar.redo(MATCH);
        same();
        assertThat(techniques(omar)).containsExactly("knee-cut null", "armbar null");
        assertThat(ines.canRedo(MATCH)).isFalse();
        assertThat(omar.canRedo(MATCH)).isTrue();
    }

    @Test
    void whatSomebodyElseHasChangedSinceIsNotTakenBack() throws Exception {
        tag(ines, 1000, "knee-cut");
        exchange(ines);
        exchange(omar);
        change(omar, "knee-cut", Side.LEFT);
        same();
        assertThatThrownBy(() -> ines.undo(MATCH)).hasMessageContaining("Somebody else has changed this since");
        assertThat(techniques(ines)).containsExactly("knee-cut LEFT");
    }

    @Test
    void aClashKeepsBothVersionsUntilItIsDecided() throws Exception {
        tag(ines, 1000, "knee-cut");
        exchange(ines);
        exchange(omar);
        change(ines, "knee-cut", Side.LEFT);
        change(omar, "knee-cut", Side.RIGHT);
        same();
        assertThat(techniques(omar)).containsExactly("knee-cut LEFT");
        assertThat(ines.mirror().clashes()).isEmpty();
        List<Mirror.Open> clashes = omar.mirror().clashes();
        assertThat(clashes).hasSize(1);
        assertThat(clashes.get(0).fields()).containsExactly("sides");
        assertThat(state(omar).clashes()).isEqualTo(1);
        assertThat(omar.mirror().decide(clashes.get(0).id(), true)).isTrue();
        assertThat(omar.mirror().decide(clashes.get(0).id(), true)).isFalse();
        same();
        assertThat(techniques(ines)).containsExactly("knee-cut RIGHT");
    }

    @Test
    void anEditForWhatWasShownFitsWhatCameMeanwhile() throws Exception {
        MatchRecord shown = record(omar);
        tag(ines, 1000, "knee-cut");
        exchange(ines);
        exchange(omar);
        Tag.Action mine = Tag.Action.of(MatchTime.ofMs(2000), Corner.A, "armbar");
        List<Tag> named = TagIds.name(shown, List.of(mine));
        MatchRecord after = omar.apply(MATCH, Edit.addAll(shown, named));
        assertThat(after.tags()).hasSize(4);
        assertThat(after.tags())
                .extracting(t -> t.info().id())
                .filteredOn(Objects::nonNull)
                .doesNotHaveDuplicates();
        // the window still calls it by the id that the other gave to a tag of her own
        omar.apply(
                MATCH,
                new Edit.Replace(
                        2,
                        named.get(0),
                        2,
                        mine.sided(Side.LEFT).with(named.get(0).info())));
        same();
        assertThat(techniques(ines)).containsExactly("knee-cut null", "armbar LEFT");
    }

    @Test
    void plansAreMergedFieldByField() throws Exception {
        Plan plan = Samples.plan();
        ines.save(plan);
        same();
        assertThat(omar.plans()).containsExactly(plan);
        assertThat(omar.stepPlan(plan.id(), -1)).isEmpty();
    }

    @Test
    void aMatchThatTwoMadeUnderOneNameIsKeptTwice() throws Exception {
        ines.add(Samples.record("m2"));
        MatchRecord other = Edit.add(Samples.record("m2"), Samples.sweep(4000)).apply(Samples.record("m2"));
        omar.add(other);
        omar.apply("m2", Edit.add(other, Samples.sweep(9000)));
        same();
        assertThat(ines.matches()).extracting(MatchRecord::id).containsExactlyInAnyOrder(MATCH, "m2", "m2-2");
        assertThat(omar.matches()).isEqualTo(ines.matches());
        assertThat(ines.match("m2-2").orElseThrow().tags()).hasSize(4);
    }

    @Test
    void takenOutOfSightAndBack() throws Exception {
        ines.setRemoved(MATCH, true);
        tag(omar, 1000, "armbar");
        same();
        assertThat(omar.matches()).isEmpty();
        omar.setRemoved(MATCH, false);
        same();
        assertThat(ines.matches()).hasSize(1);
        assertThat(techniques(ines)).containsExactly("armbar null");
    }

    @Test
    void termsOfTheTeamAreSharedAndSettingsOfTheMachineAreNot() throws Exception {
        ines.set("ruleset own", "{\"a\":1}");
        ines.set("look.theme", "night");
        same();
        assertThat(omar.setting("ruleset own")).contains("{\"a\":1}");
        assertThat(omar.setting("look.theme")).isEmpty();
    }

    @Test
    void aMirrorFollowsItsTeamAndNoOther() throws Exception {
        TeamAddress other = TestServer.team();
        ines.mirror().attach(other.url());
        try (TeamServer server = TeamServer.open(other)) {
            String id = server.team().id();
            assertThatThrownBy(() -> ines.mirror().team(id)).hasMessageContaining("another team");
        }
        assertThat(state(ines).url()).isEqualTo(other.url());
    }

    @Test
    void whatWasSentAndNotHeardOfComesBackOnce() throws Exception {
        tag(omar, 1000, "armbar");
        tag(omar, 2000, "knee-cut");
        try (TeamServer server = TeamServer.open(team)) {
            // the answer is lost, and somebody else goes on
            server.append(state(omar).mirror(), omar.mirror().waiting(10));
        }
        exchange(ines);
        tag(ines, 3000, "triangle");
        exchange(ines);
        tag(omar, 4000, "kimura");
        same();
        assertThat(techniques(ines)).hasSize(4);
        for (int i = 0; i < 3; i++) {
            assertThat(omar.undo(MATCH))
                    .as("one's own, though it came back among others'")
                    .isPresent();
        }
        assertThat(omar.canUndo(MATCH)).isFalse();
        same();
        assertThat(techniques(ines)).containsExactly("triangle null");
        assertThat(record(ines).tags())
                .extracting(t -> t.info().id())
                .filteredOn(Objects::nonNull)
                .doesNotHaveDuplicates();
    }

    @Test
    void whoIsForgottenIsGoneFromTheServerAndEveryMirror() throws Exception {
        ines.save(Samples.plan());
        MatchRecord others = Samples.record("others");
        MatchRecord.Details d = others.details();
        MatchAthlete odile = MatchAthlete.of("odile-marrowen", "Odile Marrowen", null, null);
        MatchAthlete greel = MatchAthlete.of("juno-greel", "Juno Greel", null, null);
        others = others.withDetails(new MatchRecord.Details(
                d.date(), "as Brisa Tolendt saw it", null, null, "gi", "points-gi", 480_000, odile, greel, null));
        ines.add(others);
        tag(ines, 1000, "knee-cut");
        same();
        ines.apply("others", Edit.add(others, Samples.sweep(1000)));
        // somebody who is away goes on with what will be gone
        tag(omar, 2000, "armbar");
        ines.forget(ines.concerning("brisa-tolendt"));
        exchange(ines);
        exchange(omar);
        exchange(ines);
        assertThat(ines.matches()).extracting(MatchRecord::id).containsExactly("others");
        assertThat(omar.matches()).isEqualTo(ines.matches());
        assertThat(omar.plans()).isEmpty();
        assertThat(state(omar).waiting()).isZero();
        String everything = "SELECT count(*) FROM (SELECT document AS x FROM farglass.item UNION ALL SELECT item FROM"
                + " farglass.item UNION ALL SELECT body FROM farglass.change UNION ALL SELECT item FROM"
                + " farglass.change) t WHERE lower(x) LIKE '%brisa%' OR lower(x) LIKE '%tolendt%'";
        try (Connection c = TestServer.connect(TestServer.database(team), "postgres");
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery(everything)) {
            r.next();
            assertThat(r.getInt(1)).isZero();
        }
        MatchRecord now = ines.match("others").orElseThrow();
        ines.apply("others", Edit.add(now, Samples.sweep(2000)));
        exchange(ines);
        exchange(omar);
        assertThat(omar.matches()).isEqualTo(ines.matches());
    }

    @Test
    void aMatchOfABackupComesBackForEverybody() throws Exception {
        tag(ines, 1000, "knee-cut");
        MatchRecord then = record(ines);
        Path backup = ines.backUp(folder.resolve("copies"));
        same();
        tag(omar, 2000, "armbar");
        same();
        Restoring.matches(ines, backup, List.of(MATCH), Samples.NOON);
        same();
        assertThat(record(omar).tags()).isEqualTo(then.tags());
        ines.undo(MATCH);
        same();
        assertThat(techniques(omar)).containsExactly("knee-cut null", "armbar null");
    }

    @Test
    void aMirrorThatIsBroughtBackFromItsBackupReadsOn() throws Exception {
        tag(omar, 1000, "knee-cut");
        Path backup = omar.backUp(folder.resolve("copies"));
        same();
        tag(omar, 2000, "armbar");
        tag(ines, 3000, "triangle");
        same();
        omar.close();
        open.remove(omar);
        new Restoring(folder.resolve("omar.farglass"), backup, Samples.NOON).whole();
        omar = mirror("omar");
        same();
        assertThat(techniques(omar)).hasSize(3);
    }

    @Test
    void nothingComesIntoBeingByBeingEdited() throws Exception {
        TeamChange edit = new TeamChange(
                "e1",
                TeamChange.Kind.MATCH,
                "nowhere",
                1,
                TeamChange.Act.EDIT,
                "{}",
                null,
                Samples.NOON.instant(),
                null,
                null,
                null);
        try (TeamServer server = TeamServer.open(team)) {
            assertThat(server.append(state(ines).mirror(), List.of(edit))).isEmpty();
            assertThat(server.item(TeamChange.Kind.MATCH, "nowhere")).isEmpty();
        }
        same();
    }

    @Test
    void aLibraryOfOnesOwnIsNoMirror() throws Exception {
        try (Library l = Library.open(folder.resolve("own.farglass"), Samples.NOON)) {
            assertThat(l.mirror().attached()).isFalse();
            assertThat(l.mirror().state()).isEmpty();
            assertThat(l.mirror().clashes()).isEmpty();
        }
    }
}
