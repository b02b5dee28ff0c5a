package farglass.tendency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.lexicon.Lexicon;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.simulate.DemoLibrary;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;

/** What is kept of an index when tags change must be what a new one would say. */
class LibraryIndexTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);

    /** Turns an outcome, drops a tag, shifts one in time, or names another technique. */
    private static MatchRecord changed(MatchRecord r, Random random) {
        List<Tag> tags = new ArrayList<>(r.tags());
        int i = 1 + random.nextInt(tags.size() - 2);
        Tag t = tags.get(i);
        if (t instanceof Tag.Action a && random.nextBoolean()) {
            Outcome o = a.completed() ? Outcome.STUFFED : Outcome.COMPLETED;
            tags.set(i, a.result(o, a.reached(), a.to(), a.until()));
        } else if (random.nextBoolean()) {
            tags.remove(i);
        } else {
            tags.set(i, t.at(t.t().plus(700)));
        }
        return r.withTags(tags);
    }

    private static void same(LibraryIndex kept, LibraryIndex made, String who, Filter f) {
        Profile a = Profile.of(kept, who, f, 1);
        Profile b = Profile.of(made, who, f, 1);
        for (Question q : Question.values()) {
            List<Claim> was = a.page(q).claims();
            List<Claim> is = b.page(q).claims();
            assertThat(was).as(q + " of " + who).hasSameSizeAs(is);
            for (int i = 0; i < was.size(); i++) {
                assertThat(was.get(i)).as(q + " " + was.get(i).id()).isEqualTo(is.get(i));
            }
        }
    }

    @Test
    void anIndexThatFollowedChangesSaysWhatANewOneSays() {
        Random random = new Random(11);
        List<MatchRecord> now = new ArrayList<>(DEMO);
        LibraryIndex index = LibraryIndex.of(now, LEXICON);
        List<Filter> filters = List.of(Filter.ALL, Filter.ALL.attire("gi"));
        filters.forEach(f -> Profile.of(index, "brisa-tolendt", f, 1));
        LibraryIndex following = index;
        for (int step = 0; step < 12; step++) {
            int at = random.nextInt(now.size());
            if (step == 5) {
                now.remove(at);
            } else {
                now.set(at, changed(now.get(at), random));
            }
            following = following.with(now);
            // fits are made in between, so that some are kept over several changes
            Profile.page(following, "brisa-tolendt", filters.get(step % 2), 1, Question.REACTIONS);
        }
        LibraryIndex made = LibraryIndex.of(now, LEXICON);
        for (Filter f : filters) {
            same(following, made, "brisa-tolendt", f);
            same(following, made, "juno-fastrel", f);
        }
    }

    @Test
    void athletesThatAreExchangedAndMatchesInAnotherOrderAreFollowed() {
        LibraryIndex index = LibraryIndex.of(DEMO, LEXICON);
        List<MatchRecord> now = new ArrayList<>(DEMO);
        MatchRecord r = now.get(2);
        MatchRecord.Details d = r.details();
        now.set(
                2,
                r.withDetails(new MatchRecord.Details(
                        LocalDate.of(2040, 1, 1),
                        d.event(),
                        d.round(),
                        d.division(),
                        d.attire(),
                        d.ruleset(),
                        d.lengthMs(),
                        new MatchAthlete("newcomer", "Newcomer", null, null, Map.of()),
                        d.b(),
                        d.result())));
        index = index.with(now);
        assertThat(index.athletes()).contains("newcomer");
        assertThat(index.of("newcomer")).hasSize(1);
        assertThat(index.of(d.a().id()))
                .hasSize(LibraryIndex.of(DEMO, LEXICON).of(d.a().id()).size() - 1);
        assertThat(index.newest()).isEqualTo(LocalDate.of(2040, 1, 1));
        now.set(2, r);
        Collections.swap(now, 0, 5);
        index = index.with(now);
        assertThat(index.facts())
                .extracting(f -> f.record().id())
                .isEqualTo(now.stream().map(MatchRecord::id).toList());
        assertThat(index.athletes()).doesNotContain("newcomer");
        same(index, LibraryIndex.of(now, LEXICON), "brisa-tolendt", Filter.ALL);
    }

    @Test
    void unchangedRecordsKeepTheirFacts() {
        LibraryIndex index = LibraryIndex.of(DEMO, LEXICON);
        List<MatchRecord> now = new ArrayList<>(DEMO);
        now.set(3, changed(now.get(3), new Random(1)));
        LibraryIndex next = index.with(now);
        List<MatchFacts> was = List.copyOf(index.facts());
        List<MatchFacts> is = List.copyOf(next.facts());
        for (int i = 0; i < was.size(); i++) {
            assertThat(is.get(i) == was.get(i)).as("match " + i).isEqualTo(i != 3);
        }
    }

    /** The library as it comes from a file that is read by need. */
    private static List<MatchRecord> unread(List<MatchRecord> records, Set<String> read) {
        return records.stream()
                .map(r -> MatchRecord.unread(r.withTags(List.of()), r.tags().size(), r.untouched(), () -> {
                    read.add(r.id());
                    return r.tags();
                }))
                .toList();
    }

    private static Map<String, Map<CountedGroup, AthleteCounts>> counted(LibraryIndex index) throws IOException {
        Map<String, Map<CountedGroup, AthleteCounts>> all = new HashMap<>();
        for (String who : index.athletes()) {
            Map<CountedGroup, List<MatchFacts>> groups = new HashMap<>();
            index.of(who)
                    .forEach(f -> groups.computeIfAbsent(CountedGroup.of(f.record()), k -> new ArrayList<>())
                            .add(f));
            for (Map.Entry<CountedGroup, List<MatchFacts>> g : groups.entrySet()) {
                byte[] kept = CountsCodec.write(AthleteCounts.of(who, g.getValue()));
                all.computeIfAbsent(who, k -> new HashMap<>()).put(g.getKey(), CountsCodec.read(kept));
            }
        }
        return all;
    }

    @Test
    void whatWasCountedBeforeSaysWhatAllMatchesSay() throws IOException {
        LibraryIndex whole = LibraryIndex.of(DEMO, LEXICON);
        Set<String> read = ConcurrentHashMap.newKeySet();
        LibraryIndex byNeed = LibraryIndex.of(unread(DEMO, read), LEXICON, KeptCounts.of(counted(whole)));
        String who = DEMO.get(0).details().a().id();
        Profile.page(byNeed, who, Filter.ALL, 1, Question.PASSING);
        assertThat(read)
                .containsExactlyInAnyOrderElementsOf(
                        whole.records(who).stream().map(MatchRecord::id).toList())
                .hasSizeLessThan(DEMO.size() / 2);
        for (Filter f : List.of(
                Filter.ALL,
                Filter.ALL.attire("gi"),
                Filter.ALL.ruleset(DEMO.get(0).details().ruleset()),
                Filter.ALL.dates(DEMO.get(DEMO.size() / 2).details().date(), null))) {
            same(byNeed, whole, who, f);
        }
        // of a changed match's athletes it is counted anew
        Random random = new Random(5);
        List<MatchRecord> now = new ArrayList<>(byNeed.records());
        for (int i = 0; i < 5; i++) {
            int at = random.nextInt(now.size());
            now.set(at, changed(now.get(at), random));
            byNeed = byNeed.with(now);
            same(byNeed, LibraryIndex.of(now, LEXICON), who, Filter.ALL);
        }
    }

    @Test
    void brokenCountsAreRefused() {
        byte[] kept = CountsCodec.write(AthleteCounts.of("x", List.of()));
        byte[] cut = Arrays.copyOf(kept, kept.length - 1);
        byte[] more = Arrays.copyOf(kept, kept.length + 1);
        byte[] huge = kept.clone();
        huge[0] = 1;
        for (byte[] broken : List.of(cut, more, huge)) {
            assertThatIOException().isThrownBy(() -> CountsCodec.read(broken));
        }
    }
}
