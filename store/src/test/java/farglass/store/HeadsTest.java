package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.lexicon.Lexicon;
import farglass.lexicon.OwnTerms;
import farglass.lexicon.Technique;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.profile.Profile;
import farglass.profile.Tables;
import farglass.simulate.DemoLibrary;
import farglass.store.json.ProfileJson;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A library read by need must say what the whole one says, whatever was changed in between. */
class HeadsTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2031-05-01T09:00:00Z"), ZoneOffset.UTC);
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO =
            DemoLibrary.matches(LEXICON, 3).subList(0, 24);

    @TempDir
    private Path folder;

    private Library open() throws LibraryException {
        return Library.open(folder.resolve("my.farglass"), DAY);
    }

    private Library kept() throws LibraryException {
        Library library = open();
        library.addAll(DEMO);
        keepUp(library);
        return library;
    }

    private static int keepUp(Library library) throws LibraryException {
        int pieces = 0;
        while (library.heads().keepUp(LEXICON)) {
            pieces++;
        }
        return pieces;
    }

    private void sql(String statement) throws Exception {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("my.farglass"));
                Statement s = c.createStatement()) {
            s.execute(statement);
        }
    }

    private static String who() {
        return DEMO.get(0).details().a().id();
    }

    /** Both ways of reading give one profile, to the last digit. */
    private static void same(Library library) throws LibraryException {
        Heads.Read read = library.heads().read(LEXICON);
        List<MatchRecord> whole = library.matches();
        assertThat(read.matches()).extracting(MatchRecord::id).isEqualTo(ids(whole));
        assertThat(profile(LibraryIndex.of(read.matches(), LEXICON, read.counts())))
                .isEqualTo(profile(LibraryIndex.of(whole, LEXICON)));
        assertThat(read.matches()).isEqualTo(whole);
    }

    private static String profile(LibraryIndex index) {
        Profile p = Profile.of(index, who(), Filter.ALL, 1);
        return new ProfileJson(p, Tables.of(p, 1)).text();
    }

    private static List<String> ids(List<MatchRecord> records) {
        return records.stream().map(MatchRecord::id).toList();
    }

    @Test
    void headsSayOfEveryMatchWhatIsAskedWithoutItsTags() throws Exception {
        List<MatchRecord> heads;
        try (Library library = kept()) {
            assertThat(library.heads().count()).isEqualTo(DEMO.size());
            heads = library.heads().matches();
        }
        // nothing of the file is needed for these
        List<MatchRecord> whole = new ArrayList<>(DEMO);
        whole.sort(Heads.OLDEST_FIRST);
        for (int i = 0; i < whole.size(); i++) {
            assertThat(heads.get(i).details()).isEqualTo(whole.get(i).details());
            assertThat(heads.get(i).films()).isEqualTo(whole.get(i).films());
            assertThat(heads.get(i).tagCount()).isEqualTo(whole.get(i).tags().size());
            assertThat(heads.get(i).waiting()).isEqualTo(whole.get(i).waiting());
        }
        assertThatExceptionOfType(UncheckedIOException.class)
                .isThrownBy(() -> heads.get(0).tags().size())
                .withMessageContaining("my.farglass has been closed");
    }

    @Test
    void aLibraryReadByNeedSaysWhatTheWholeOneSays() throws Exception {
        try (Library library = open()) {
            library.addAll(DEMO);
            // nothing is kept yet: all are read whole
            assertThat(library.heads().read(LEXICON).counts()).isEmpty();
            same(library);
            assertThat(keepUp(library)).isPositive();
            assertThat(keepUp(library)).isZero();
            assertThat(library.heads().read(LEXICON).counts()).containsKey(who());
            same(library);
        }
        try (Library library = Library.read(folder.resolve("my.farglass"), DAY)) {
            assertThat(library.heads().read(LEXICON).counts()).containsKey(who());
            same(library);
        }
    }

    @Test
    void aChangeTakesWithItWhatItMadeUntrue() throws Exception {
        try (Library library = kept()) {
            MatchRecord r = library.match(DEMO.get(0).id()).orElseThrow();
            library.apply(r.id(), new Edit.Remove(3, r.tags().get(3)));
            Heads.Read read = library.heads().read(LEXICON);
            assertThat(read.counts())
                    .doesNotContainKeys(r.details().a().id(), r.details().b().id())
                    .isNotEmpty();
            same(library);
            keepUp(library);
            same(library);
            library.undo(r.id());
            same(library);
            keepUp(library);
            library.setRemoved(r.id(), true);
            assertThat(library.heads().count()).isEqualTo(DEMO.size() - 1);
            same(library);
            keepUp(library);
            same(library);
            library.setRemoved(r.id(), false);
            same(library);
            keepUp(library);
            same(library);
        }
    }

    @Test
    void anAthleteWhoIsForgottenIsInNothingThatIsKept() throws Exception {
        try (Library library = kept()) {
            assertThat(library.forget(library.concerning(who()))).isEmpty();
            assertThat(library.heads().read(LEXICON).counts()).doesNotContainKey(who());
            assertThat(library.heads().matches())
                    .noneMatch(r -> r.cornerOf(who()).isPresent());
            keepUp(library);
            assertThat(library.heads().read(LEXICON).counts()).doesNotContainKey(who());
        }
    }

    @Test
    void countsMadeWithOtherWordsAreNotTaken() throws Exception {
        Technique pass = LEXICON.technique("knee-cut").orElseThrow();
        Technique own = new Technique(
                pass.code(),
                pass.name(),
                "sweep",
                pass.from(),
                pass.to(),
                pass.role(),
                pass.by(),
                pass.side(),
                pass.limb(),
                pass.using(),
                pass.limbTie(),
                pass.restricted(),
                pass.names(),
                pass.aliases());
        Lexicon other = new OwnTerms("en", List.of(), List.of(own), List.of(), Map.of()).in(LEXICON);
        assertThat(other.meaning()).isNotEqualTo(LEXICON.meaning());
        try (Library library = kept()) {
            assertThat(library.heads().read(other).counts()).isEmpty();
            while (library.heads().keepUp(other)) {
                // all of it
            }
            assertThat(library.heads().read(other).counts()).containsKey(who());
            assertThat(library.heads().read(LEXICON).counts()).isEmpty();
        }
    }

    @Test
    void brokenCountsAreMadeAnewAndADamagedRecordIsToldWhenItIsLookedAt() throws Exception {
        kept().close();
        sql("UPDATE athlete_count SET counts = x'07'");
        String id = DEMO.get(5).id();
        sql("DROP TRIGGER match_changed");
        sql("UPDATE match_record SET document = '{' WHERE id = '" + id + "'");
        try (Library library = open()) {
            Heads.Read read = library.heads().read(LEXICON);
            assertThat(read.counts()).isEmpty();
            MatchRecord damaged = read.matches().stream()
                    .filter(r -> r.id().equals(id))
                    .findFirst()
                    .orElseThrow();
            assertThatExceptionOfType(UncheckedIOException.class)
                    .isThrownBy(() -> damaged.tags().size())
                    .withMessageContaining("backups");
        }
    }

    @Test
    void aLibraryOfAnEarlierVersionIsReadWhole() throws Exception {
        kept().close();
        for (String name : List.of("match_changed", "match_deleted", "head_deleted", "head_made")) {
            sql("DROP TRIGGER " + name);
        }
        sql("DROP TABLE match_head");
        sql("DROP TABLE athlete_count");
        try (Library library = Library.read(folder.resolve("my.farglass"), DAY)) {
            same(library);
        }
    }
}
