package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.RecordKind;
import farglass.match.Result;
import farglass.match.Role;
import farglass.match.Tag;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class EvidenceTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 6, 1);
    private static final Tag[] TAGS = {
        start(),
        at(0, "STD"),
        guard(10, "LAS", Corner.A),
        tries(15, Corner.A, "lasso-sweep"),
        tries(20, Corner.B, "knee-cut"),
        held(40, "SDC", Corner.B),
        tries(45, Corner.A, "hip-escape"),
        end(60)
    };

    private static MatchRecord match(String id, LocalDate date, String a, String b) {
        return named(id, date, a, b, TAGS);
    }

    private static Evidence evidence(String who, Filter filter, MatchRecord... records) {
        return Evidence.of(List.of(records), who, filter, LEXICON);
    }

    @Test
    void rolesAndOwnershipAreSeenFromTheAthletesCorner() {
        MatchRecord r = match("m", DAY, "us", "them");
        Evidence mine = evidence("us", Filter.ALL, r);
        assertThat(mine.visits())
                .extracting(p -> p.span().place() + " " + p.role())
                .containsExactly("STD neutral", "LAS guard", "SDC under");
        Evidence theirs = evidence("them", Filter.ALL, r);
        assertThat(theirs.visits())
                .extracting(p -> p.span().place() + " " + p.role())
                .containsExactly("STD neutral", "LAS holder", "SDC holder");
        assertThat(mine.acts(Evidence.Act::own))
                .extracting(a -> a.action().technique())
                .containsExactly("lasso-sweep", "hip-escape");
        assertThat(theirs.acts(Evidence.Act::own))
                .extracting(a -> a.action().technique())
                .containsExactly("knee-cut");
        assertThat(mine.exposureMs()).isEqualTo(60_000).isEqualTo(theirs.exposureMs());
        assertThat(mine.acts(a -> true).get(1).span().place()).isEqualTo("LAS");
    }

    @Test
    void listsOfActsAndTimesAreWhatAFilterOverAllOfThemFinds() {
        List<MatchRecord> library = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);
        LibraryIndex index = LibraryIndex.of(library, LEXICON);
        String who = library.get(0).details().a().id();
        for (Filter f : List.of(
                Filter.ALL,
                Filter.ALL.moment(Moment.ANY.role(Role.GUARD)),
                Filter.ALL.moment(Moment.ANY.clock(Moment.Part.LAST_TWO_MINUTES)))) {
            Evidence e = Evidence.of(index, who, f);
            assertThat(e.own(a -> true)).isNotEmpty().isEqualTo(e.acts(Evidence.Act::own));
            for (String family : List.of("pass", "sweep", "grip", "no such")) {
                assertThat(e.ownOf(family))
                        .isEqualTo(e.acts(a -> a.own() && a.family().equals(family)));
            }
            String code = e.own(a -> true).get(0).action().technique();
            assertThat(e.ownWith(code))
                    .isEqualTo(e.acts(a -> a.own() && a.action().technique().equals(code)));
            for (Evidence.Seen seen : e.matches()) {
                assertThat(e.actsIn(seen)).isEqualTo(e.acts(a -> a.seen() == seen));
                assertThat(e.match(seen.record().id())).containsSame(seen);
                long guard = e.visits().stream()
                        .filter(p -> p.seen() == seen && p.role() == Role.GUARD)
                        .mapToLong(Evidence.Visit::ms)
                        .sum();
                long[] told = e.time((place, role) -> role == Role.GUARD).get(seen);
                assertThat(told == null ? 0 : told[0]).isEqualTo(guard);
            }
            assertThat(e.visits((place, role) -> role == Role.GUARD))
                    .isEqualTo(e.visits().stream()
                            .filter(p -> p.role() == Role.GUARD)
                            .toList());
            assertThat(e.match("no such match")).isEmpty();
        }
    }

    @Test
    void aTrialSaysOfAnActWhatItsTagSays() {
        Evidence e = evidence("us", Filter.ALL, match("m", DAY, "us", "them"));
        Evidence.Act act = e.ownWith("lasso-sweep").get(0);
        assertThat(act.trial(true)).isEqualTo(act.seen().trial(act.index(), true));
        assertThat(act.ref()).isSameAs(e.ownWith("lasso-sweep").get(0).ref());
    }

    @Test
    void matchesOfOthersAndRoundsAndExcerptsStayOut() {
        MatchRecord r = match("m", DAY, "us", "them");
        MatchRecord round = new MatchRecord("round", RecordKind.ROUND, r.details(), List.of(), r.tags(), Map.of());
        MatchRecord excerpt =
                new MatchRecord("excerpt", RecordKind.EXCERPT, r.details(), List.of(), r.tags(), Map.of());
        Evidence e = evidence("us", Filter.ALL, r, round, excerpt, match("other", DAY, "x", "y"));
        assertThat(e.matches()).extracting(s -> s.record().id()).containsExactly("m");
    }

    @Test
    void agesAreCountedBackFromTheAssignmentElseFromTheNewestMatch() {
        MatchRecord old = match("old", DAY.minusYears(3), "us", "them");
        MatchRecord fresh = match("fresh", DAY, "us", "them");
        Evidence newest = evidence("us", Filter.ALL, old, fresh);
        assertThat(weight(newest, "fresh")).isEqualTo(1);
        assertThat(weight(newest, "old")).isCloseTo(0.5, within(0.001));
        Evidence later = evidence("us", Filter.ALL.asOf(DAY.plusYears(3)), old, fresh);
        assertThat(weight(later, "fresh")).isCloseTo(0.5, within(0.001));
        assertThat(weight(later, "old")).isCloseTo(0.25, within(0.001));
        Filter ageless = new Filter(null, null, null, null, null, DAY.plusYears(9), true);
        assertThat(weight(evidence("us", ageless, old), "old")).isEqualTo(1);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Filter(null, null, null, null, 0.0, null, true))
                .withMessageContaining("half-life (0.0 years)");
    }

    private static double weight(Evidence e, String match) {
        return e.matches().stream()
                .filter(s -> s.record().id().equals(match))
                .findFirst()
                .orElseThrow()
                .weight();
    }

    @Test
    void datesAndAttireAreInclusiveAndAnUndatedMatchIsLeftOutByThem() {
        MatchRecord first = match("first", DAY, "us", "them");
        MatchRecord undated = match("undated", null, "us", "them");
        assertThat(ids(Filter.ALL.dates(DAY, DAY), first, undated)).containsExactly("first");
        assertThat(ids(Filter.ALL.dates(DAY.plusDays(1), null), first, undated)).isEmpty();
        assertThat(ids(Filter.ALL, first, undated)).containsExactlyInAnyOrder("first", "undated");
        assertThat(ids(Filter.ALL.attire("no-gi"), first)).isEmpty();
        assertThat(ids(Filter.ALL.attire("gi"), first)).containsExactly("first");
    }

    private static List<String> ids(Filter filter, MatchRecord... records) {
        return evidence("us", filter, records).matches().stream()
                .map(s -> s.record().id())
                .toList();
    }

    @Test
    void everyClaimOfTheDemoCitesTagsThatExistAndCountsThem() {
        List<MatchRecord> library = DemoLibrary.matches(LEXICON, 14);
        for (String who : List.of("ansa-kellivar", "brisa-tolendt", "odile-marrowen", "juno-fastrel")) {
            Profile p = Profile.of(library, who, Filter.ALL, LEXICON, 1);
            for (Claim c : p.claims()) {
                if (c.topic() != Claim.Topic.NOT_SEEN) {
                    assertThat(c.trials()).as(who + " " + c.id()).isNotEmpty();
                }
                c.trials().forEach(t -> {
                    MatchRecord r = library.stream()
                            .filter(x -> x.id().equals(t.tag().match()))
                            .findFirst()
                            .orElseThrow();
                    assertThat(r.cornerOf(who)).isPresent();
                    assertThat(r.tagName(t.index())).isEqualTo(t.tag().tag());
                });
                assertThat(c.estimate().lo()).isLessThanOrEqualTo(c.estimate().hi());
            }
        }
    }

    @Test
    void aMatchThatWaitsToBeTaggedCountsNowhere() {
        MatchRecord tagged = match("m", DAY, "us", "them");
        MatchRecord waiting = named("w", DAY.plusDays(1), "us", "other", start(), at(0, "STD"));
        assertThat(waiting.waiting()).isTrue();
        assertThat(tagged.waiting()).isFalse();
        assertThat(evidence("us", Filter.ALL, tagged, waiting).matches()).hasSize(1);
        MatchRecord begun = named("w", DAY.plusDays(1), "us", "other", start(), at(0, "STD"), at(9, "STD"));
        assertThat(evidence("us", Filter.ALL, tagged, begun).matches()).hasSize(2);
        MatchRecord decided = waiting.withDetails(
                waiting.details().result(new Result(Corner.A, Method.POINTS, null, null, Map.of())));
        assertThat(evidence("us", Filter.ALL, tagged, decided).matches())
                .as("a result is something known")
                .hasSize(2);
    }
}
