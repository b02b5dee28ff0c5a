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
import farglass.tendency.AthleteCounts;
import farglass.tendency.ColumnKey;
import farglass.tendency.CountedGroup;
import farglass.tendency.Filter;
import farglass.tendency.KeptAverage;
import farglass.tendency.KeptCounts;
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
import java.util.Set;
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
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNull();
            same(library);
            assertThat(keepUp(library)).isPositive();
            assertThat(keepUp(library)).isZero();
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNotNull();
            same(library);
        }
        try (Library library = Library.read(folder.resolve("my.farglass"), DAY)) {
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNotNull();
            same(library);
        }
    }

    @Test
    void aChangeTakesWithItWhatItMadeUntrue() throws Exception {
        try (Library library = kept()) {
            MatchRecord r = library.match(DEMO.get(0).id()).orElseThrow();
            library.apply(r.id(), new Edit.Remove(3, r.tags().get(3)));
            Heads.Read read = library.heads().read(LEXICON);
            assertThat(read.counts().of(r.details().a().id())).isNull();
            assertThat(read.counts().of(r.details().b().id())).isNull();
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
            assertThat(library.heads().read(LEXICON).counts().average()).isNull();
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNull();
            assertThat(library.heads().matches())
                    .noneMatch(r -> r.cornerOf(who()).isPresent());
            keepUp(library);
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNull();
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
            assertThat(library.heads().read(other).counts().of(who())).isNull();
            while (library.heads().keepUp(other)) {
                // all of it
            }
            assertThat(library.heads().read(other).counts().of(who())).isNotNull();
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNull();
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
            assertThat(read.counts().of(who())).isNull();
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
        for (String name : List.of(
                "match_changed", "match_deleted", "head_deleted", "head_made", "counts_deleted", "match_forgotten")) {
            sql("DROP TRIGGER " + name);
        }
        sql("DROP TABLE match_head");
        sql("DROP TABLE athlete_count");
        try (Library library = Library.read(folder.resolve("my.farglass"), DAY)) {
            same(library);
        }
    }

    private static KeptAverage average(Library library) throws LibraryException {
        KeptAverage average = library.heads().read(LEXICON).counts().average();
        assertThat(average).isNotNull();
        return average;
    }

    private static KeptAverage.Read time(KeptAverage average, String... whose) {
        return average.read(new ColumnKey(ColumnKey.Kind.TIME, ""), Set.of(whose));
    }

    @Test
    void theAverageIsKeptAndFollowsAChangeByTheAthletesItIsAbout() throws Exception {
        try (Library library = open()) {
            library.addAll(DEMO);
            assertThat(library.heads().read(LEXICON).counts().average()).isNull();
            keepUp(library);
            KeptAverage before = average(library);
            assertThat(before.behind()).isEmpty();
            assertThat(time(before).column().isEmpty()).isFalse();
            assertThat(time(before).counts()).isEmpty();
            assertThat(time(before, who()).counts()).containsOnlyKeys(who());
            // whoever began before the change goes on in memory, while the file follows
            LibraryIndex index = LibraryIndex.of(
                    library.heads().read(LEXICON).matches(),
                    LEXICON,
                    library.heads().read(LEXICON).counts());
            profile(index);
            MatchRecord r = library.match(DEMO.get(1).id()).orElseThrow();
            MatchRecord now = library.apply(r.id(), new Edit.Remove(3, r.tags().get(3)));
            List<MatchRecord> shown = new ArrayList<>(index.records());
            shown.replaceAll(m -> m.id().equals(now.id()) ? now : m);
            LibraryIndex following = index.with(shown);
            String whole = profile(LibraryIndex.of(library.matches(), LEXICON));
            assertThat(profile(following)).isEqualTo(whole);
            assertThat(average(library).behind())
                    .containsExactlyInAnyOrder(
                            r.details().a().id(), r.details().b().id());
            assertThat(keepUp(library)).isPositive();
            assertThat(average(library).behind()).isEmpty();
            assertThat(time(before).counts())
                    .containsOnlyKeys(r.details().a().id(), r.details().b().id());
            // nothing of the new state was read before
            LibraryIndex late = LibraryIndex.of(
                            index.records(),
                            LEXICON,
                            new KeptBefore(library.heads().read(LEXICON).counts(), before))
                    .with(shown);
            assertThat(profile(late)).isEqualTo(whole);
            same(library);
        }
    }

    /** What was kept before a change, in a library that has followed it since. */
    private record KeptBefore(KeptCounts counts, KeptAverage average) implements KeptCounts {
        @Override
        public Map<CountedGroup, AthleteCounts> of(String athlete) {
            return counts.of(athlete);
        }
    }

    @Test
    void columnsThatAreBrokenOrWrongAreNotTrustedAndMadeAnew() throws Exception {
        kept().close();
        sql("UPDATE average_column SET document = x'0201'");
        try (Library library = open()) {
            assertThat(time(average(library))).isNull();
            same(library);
            MatchRecord r = library.match(DEMO.get(1).id()).orElseThrow();
            library.apply(r.id(), new Edit.Remove(3, r.tags().get(3)));
            keepUp(library);
            assertThat(time(average(library))).isNotNull();
            same(library);
        }
        sql("UPDATE athlete_count SET counts = x'07'");
        sql("DELETE FROM average");
        sql("DELETE FROM average_of");
        // of one who fights in no match
        sql(
                "INSERT INTO athlete_count SELECT 'nobody', kind, attire, ruleset, words, counts FROM athlete_count LIMIT 1");
        try (Library library = open()) {
            keepUp(library);
            assertThat(library.heads().read(LEXICON).counts().of(who())).isNotNull();
            same(library);
        }
        sql("DELETE FROM average_column");
        try (Library library = open()) {
            assertThat(time(average(library)).column().isEmpty()).isTrue();
            library.undo(DEMO.get(1).id());
            keepUp(library);
            assertThat(time(average(library)).column().isEmpty()).isFalse();
            same(library);
        }
    }

    @Test
    void whatIsBegunAndNotFinishedIsNotReadAndBegunAnew() throws Exception {
        try (Library library = open()) {
            library.addAll(DEMO);
            for (int i = 0; i < 30; i++) {
                library.heads().keepUp(LEXICON);
            }
        }
        sql("DELETE FROM average");
        sql("INSERT INTO average VALUES (1, 'half', (SELECT MAX(words) FROM athlete_count), 0, 0)");
        try (Library library = open()) {
            assertThat(library.heads().read(LEXICON).counts().average()).isNull();
            keepUp(library);
            assertThat(average(library).behind()).isEmpty();
            same(library);
        }
    }
}
