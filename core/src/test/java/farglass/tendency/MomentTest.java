package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.stats.Trial;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Which part of which match counts. */
class MomentTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 6, 1);

    private static Tag.Call points(double t, Corner who, int value) {
        return new Tag.Call(s(t), CallKind.POINTS, who, value, true, null, null, TagInfo.NONE);
    }

    /** Eight minutes scheduled: guard, then pinned from 200 s on, B leads from 203 s on, A from 300 s on. */
    private static final Tag[] TAGS = {
        start(),
        at(0, "STD"),
        guard(10, "LAS", Corner.A),
        tries(100, Corner.A, "lasso-sweep"),
        held(200, "SDC", Corner.B),
        points(203, Corner.B, 3),
        tries(250, Corner.A, "hip-escape"),
        points(300, Corner.A, 4),
        tries(400, Corner.A, "hip-escape"),
        end(480)
    };

    private static Evidence evidence(String who, Moment moment) {
        MatchRecord r = named("m", DAY, "us", "them", TAGS);
        return Evidence.of(List.of(r), who, Filter.ALL.moment(moment), LEXICON);
    }

    private static List<Long> times(Evidence e) {
        return e.acts(Evidence.Act::own).stream()
                .map(a -> a.action().t().ms() / 1000)
                .toList();
    }

    @Test
    void scoreIsTheTablesWhereItCalledAndSeenFromTheAthlete() {
        assertThat(times(evidence("us", Moment.ANY.score(Moment.Standing.LEVEL))))
                .containsExactly(100L);
        assertThat(times(evidence("us", Moment.ANY.score(Moment.Standing.BEHIND))))
                .containsExactly(250L);
        assertThat(times(evidence("us", Moment.ANY.score(Moment.Standing.AHEAD))))
                .containsExactly(400L);
        Evidence behind = evidence("us", Moment.ANY.score(Moment.Standing.BEHIND));
        assertThat(behind.exposureMs()).isEqualTo(97_000);
        assertThat(evidence("them", Moment.ANY.score(Moment.Standing.AHEAD)).exposureMs())
                .isEqualTo(97_000);
        long sum = 0;
        for (Moment.Standing st : Moment.Standing.values()) {
            sum += evidence("us", Moment.ANY.score(st)).exposureMs();
        }
        assertThat(sum).isEqualTo(480_000);
    }

    @Test
    void withoutCallsTheRulesKeepTheScore() {
        Tag[] uncalled = {
            start(),
            at(0, "STD"),
            guard(10, "LAS", Corner.A),
            held(100, "SDC", Corner.B),
            tries(150, Corner.A, "hip-escape"),
            end(200)
        };
        MatchRecord r = named("m", DAY, "us", "them", uncalled);
        Moment behind = Moment.ANY.score(Moment.Standing.BEHIND);
        Evidence e = Evidence.of(List.of(r), "us", Filter.ALL.moment(behind), LEXICON);
        assertThat(times(e)).as("the pass is worth three points from 103 s on").containsExactly(150L);
        assertThat(e.exposureMs()).isEqualTo(97_000);
    }

    @Test
    void thirdsAreThoseOfTheScheduledLength() {
        assertThat(times(evidence("us", Moment.ANY.clock(Moment.Part.FIRST_THIRD))))
                .containsExactly(100L);
        assertThat(times(evidence("us", Moment.ANY.clock(Moment.Part.SECOND_THIRD))))
                .containsExactly(250L);
        assertThat(times(evidence("us", Moment.ANY.clock(Moment.Part.LAST_THIRD))))
                .containsExactly(400L);
        assertThat(evidence("us", Moment.ANY.clock(Moment.Part.LAST_TWO_MINUTES))
                        .exposureMs())
                .isEqualTo(120_000);
    }

    @Test
    void aRoleIsThatOfThePlaceAndCombinesWithTheRest() {
        Evidence under = evidence("us", Moment.ANY.role(Role.UNDER));
        assertThat(times(under)).containsExactly(250L, 400L);
        assertThat(under.exposureMs()).isEqualTo(280_000);
        assertThat(times(evidence("us", Moment.ANY.role(Role.UNDER).score(Moment.Standing.AHEAD))))
                .containsExactly(400L);
        assertThat(evidence("us", Moment.ANY.role(Role.NEUTRAL)).exposureMs()).isEqualTo(10_000);
    }

    private static MatchRecord against(String id, Map<String, Object> other) {
        MatchRecord r = named(id, DAY, "us", "them", TAGS);
        MatchRecord.Details d = r.details();
        MatchAthlete me = new MatchAthlete("us", "Us", null, null, Map.of("grade", "brown", "weightKg", 60));
        MatchAthlete them = new MatchAthlete("them", "Them", null, null, other);
        return r.withDetails(new MatchRecord.Details(
                d.date(), d.event(), null, null, d.attire(), d.ruleset(), d.lengthMs(), me, them, null));
    }

    @Test
    void opponentsAreChosenByWhatTheyWereOnTheDay() {
        MatchRecord light = against("light", Map.of("weightKg", 50, "stance", "left", "grade", "blue"));
        MatchRecord heavy = against("heavy", Map.of("weightKg", 70, "stance", "right", "grade", "black"));
        MatchRecord unknown = against("unknown", Map.of());
        List<MatchRecord> all = List.of(light, heavy, unknown);
        assertThat(ids(all, new Opponents(Set.of(), "left", null, null, null))).containsExactly("light");
        assertThat(ids(all, new Opponents(Set.of(), null, "black", null, null))).containsExactly("heavy");
        assertThat(ids(all, new Opponents(Set.of(), null, null, 60.0, null))).containsExactly("heavy");
        assertThat(ids(all, new Opponents(Set.of(), null, null, null, 60.0))).containsExactly("light");
        assertThat(ids(all, Opponents.only("them"))).hasSize(3);
        assertThat(ids(all, Opponents.only("nobody"))).isEmpty();
    }

    private static List<String> ids(List<MatchRecord> all, Opponents who) {
        return Evidence.of(all, "us", Filter.ALL.opponents(who), LEXICON).matches().stream()
                .map(m -> m.record().id())
                .toList();
    }

    @Test
    void successAgainstLowerGradesOrMuchLighterOpponentsSaysSo() {
        MatchRecord blue = against("blue", Map.of("weightKg", 60, "grade", "blue"));
        MatchRecord light = against("light", Map.of("weightKg", 50, "grade", "brown"));
        MatchRecord even = against("even", Map.of("weightKg", 59, "grade", "brown"));
        assertThat(doubts(blue)).containsExactly(Level.Doubt.LOWER_GRADES);
        assertThat(doubts(light)).containsExactly(Level.Doubt.MUCH_LIGHTER);
        assertThat(doubts(even)).isEmpty();
        assertThat(doubts(blue, even))
                .as("one success against an equal is enough")
                .isEmpty();
        assertThat(doubts(against("unknown", Map.of()))).isEmpty();
    }

    private static List<Level.Doubt> doubts(MatchRecord... records) {
        Evidence e = Evidence.of(List.of(records), "us", Filter.ALL, LEXICON);
        List<Trial> worked =
                e.acts(Evidence.Act::own).stream().map(a -> a.trial(true)).toList();
        return Level.of(e, worked);
    }

    @Test
    void roundsCountWhenAskedInAndExcerptsNever() {
        MatchRecord r = named("m", DAY, "us", "them", TAGS);
        List<MatchRecord> all = List.of(
                r,
                new MatchRecord("round", RecordKind.ROUND, r.details(), List.of(), r.tags(), Map.of()),
                new MatchRecord("excerpt", RecordKind.EXCERPT, r.details(), List.of(), r.tags(), Map.of()));
        Filter asked = Filter.ALL.kinds(Set.of(RecordKind.values()));
        assertThat(Evidence.of(all, "us", asked, LEXICON).matches())
                .extracting(m -> m.record().id())
                .containsExactly("m", "round");
        assertThat(Evidence.of(all, "us", Filter.ALL.matches(Set.of("round")), LEXICON)
                        .matches())
                .isEmpty();
    }

    @Test
    void aChangedRecordGetsNewFactsAndAllOthersKeepTheirs() {
        MatchRecord one = named("one", DAY, "us", "them", TAGS);
        MatchRecord two = named("two", DAY, "us", "them", TAGS);
        LibraryIndex before = LibraryIndex.of(List.of(one, two), LEXICON);
        MatchRecord changed = two.withTags(two.tags().subList(0, 4));
        LibraryIndex after = before.with(List.of(one, changed));
        assertThat(after.of("us").get(0)).isSameAs(before.of("us").get(0));
        assertThat(after.of("us").get(1).record()).isSameAs(changed);
        assertThat(Evidence.of(after, "us", Filter.ALL).acts(Evidence.Act::own)).hasSize(4);
        assertThat(after.with(List.of(one)).athletes()).containsExactly("them", "us");
        assertThat(after.with(List.of()).of("us")).isEmpty();
        assertThat(before.with(List.of(one, one)).of("us"))
                .as("one id counts once")
                .hasSize(1);
    }
}
