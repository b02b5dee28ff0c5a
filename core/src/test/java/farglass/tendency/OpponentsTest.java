package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.named;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.match.Side;
import farglass.stats.Trial;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Whom one met: attributes narrow the evidence, and success against weaker ones alone is told. */
class OpponentsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 1, 1);
    private static final Filter PLAIN = Filter.ALL.halfLife(null);

    private static MatchAthlete known(String id, Map<String, Object> extra) {
        return new MatchAthlete(id, "Name " + id, null, null, extra);
    }

    private static MatchRecord match(int n, Map<String, Object> mine, Map<String, Object> theirs, boolean works) {
        MatchRecord r = named(
                "m" + n,
                DAY.plusDays(n),
                "us",
                "x" + n,
                start(),
                at(0, "STD"),
                does(10, Corner.B, "guard-pull", "CLG"),
                guard(10, "CLG", Corner.B),
                works
                        ? does(40, Corner.A, "knee-cut", "SDC").sided(Side.RIGHT)
                        : tries(40, Corner.A, "knee-cut").sided(Side.LEFT),
                end(200));
        MatchRecord.Details d = r.details();
        return r.withDetails(new MatchRecord.Details(
                d.date(),
                d.event(),
                d.round(),
                d.division(),
                n % 2 == 0 ? "gi" : "no-gi",
                d.ruleset(),
                d.lengthMs(),
                known("us", mine),
                known("x" + n, theirs),
                null));
    }

    private static List<MatchRecord> library() {
        Map<String, Object> me = Map.of("grade", "brown", "weightKg", 60, "stance", "right");
        return List.of(
                match(0, me, Map.of("grade", "blue", "weightKg", 58, "stance", "left"), true),
                match(1, me, Map.of("grade", "purple", "weightKg", 64.5, "stance", "left"), true),
                match(2, me, Map.of("grade", "black", "weightKg", 61, "stance", "right"), false),
                match(3, me, Map.of(), false));
    }

    private static List<String> under(Filter f) {
        return Evidence.of(library(), "us", f, LEXICON).matches().stream()
                .map(s -> s.record().id())
                .toList();
    }

    @Test
    void attributesNarrowAndWhatIsNotKnownDoesNotMatch() {
        assertThat(under(PLAIN)).containsExactly("m0", "m1", "m2", "m3");
        assertThat(under(PLAIN.opponents(new Opponents(Set.of(), "left", null, null, null))))
                .containsExactly("m0", "m1");
        assertThat(under(PLAIN.opponents(new Opponents(Set.of(), null, "black", null, null))))
                .containsExactly("m2");
        assertThat(under(PLAIN.opponents(new Opponents(Set.of(), null, null, 60.0, null))))
                .containsExactly("m1", "m2");
        assertThat(under(PLAIN.opponents(new Opponents(Set.of(), null, null, null, 60.0))))
                .containsExactly("m0");
        assertThat(under(PLAIN.opponents(Opponents.only("x3")))).containsExactly("m3");
        assertThat(under(PLAIN.opponents(new Opponents(Set.of("x0"), "right", null, null, null))))
                .isEmpty();
    }

    @Test
    void attireDatesAndNamedSetsNarrowToo() {
        assertThat(under(PLAIN.attire("gi"))).containsExactly("m0", "m2");
        assertThat(under(PLAIN.dates(DAY.plusDays(1), DAY.plusDays(2)))).containsExactly("m1", "m2");
        assertThat(under(PLAIN.matches(Set.of("m3", "m0", "gone")))).containsExactly("m0", "m3");
        assertThat(under(PLAIN.ruleset("points-gi"))).hasSize(4);
        assertThat(under(PLAIN.ruleset("late-points"))).isEmpty();
        assertThat(under(PLAIN.kinds(Set.of(RecordKind.ROUND)))).isEmpty();
        assertThatThrownBy(() -> PLAIN.halfLife(0.0)).hasMessageContaining("must be positive");
    }

    @Test
    void theAverageOfTheOthersAsksNeitherWhomTheyMetNorForTheNamedSet() {
        Filter narrow = PLAIN.opponents(Opponents.only("x1")).matches(Set.of("m1"));
        assertThat(narrow.ofOthers().opponents()).isEqualTo(Opponents.ALL);
        assertThat(narrow.ofOthers().matches()).isEmpty();
        LibraryIndex index = LibraryIndex.of(library(), LEXICON);
        assertThat(index.baseline(narrow))
                .isSameAs(index.baseline(PLAIN.halfLife(2.0).asOf(DAY)));
    }

    private static List<Trial> cuts(List<MatchRecord> records) {
        List<Trial> trials = new ArrayList<>();
        Evidence.of(records, "us", PLAIN, LEXICON)
                .acts(a -> a.own() && a.action().technique().equals("knee-cut"))
                .forEach(a -> trials.add(a.trial()));
        return trials;
    }

    @Test
    void successAgainstLowerGradesAloneIsTold() {
        Evidence e = Evidence.of(library(), "us", PLAIN, LEXICON);
        assertThat(Level.of(e, cuts(library()))).containsExactly(Level.Doubt.LOWER_GRADES);
        List<MatchRecord> withBlack = new ArrayList<>(library());
        withBlack.add(match(4, Map.of("grade", "brown"), Map.of("grade", "black"), true));
        Evidence more = Evidence.of(withBlack, "us", PLAIN, LEXICON);
        assertThat(Level.of(more, cuts(withBlack))).isEmpty();
        assertThat(Level.of(e, List.of())).as("no success, no doubt").isEmpty();
    }

    @Test
    void successAgainstMuchLighterOnesAloneIsTold() {
        Map<String, Object> heavy = Map.of("grade", "brown", "weightKg", 80);
        List<MatchRecord> records = List.of(
                match(0, heavy, Map.of("grade", "brown", "weightKg", 66), true),
                match(1, heavy, Map.of("grade", "black", "weightKg", 70), true));
        Evidence e = Evidence.of(records, "us", PLAIN, LEXICON);
        assertThat(Level.of(e, cuts(records))).containsExactly(Level.Doubt.MUCH_LIGHTER);
        List<MatchRecord> close = List.of(match(0, heavy, Map.of("grade", "black", "weightKg", 74), true));
        assertThat(Level.of(Evidence.of(close, "us", PLAIN, LEXICON), cuts(close)))
                .isEmpty();
    }

    @Test
    void evidenceUnderAnotherFilterIsTheSameAthletes() {
        Evidence e = Evidence.of(library(), "us", PLAIN, LEXICON);
        Evidence gi = e.under(PLAIN.attire("gi"));
        assertThat(gi.athlete()).isEqualTo("us");
        assertThat(gi.matches()).hasSize(2);
        assertThat(gi.index()).isSameAs(e.index());
        assertThat(e.exposureMs()).isEqualTo(4 * 200_000);
        assertThat(e.visits((place, role) -> role == Role.NEUTRAL)).hasSize(4).allSatisfy(p -> {
            assertThat(p.ms()).isEqualTo(10_000);
            assertThat(p.ref().match()).startsWith("m");
        });
        assertThat(e.ownAttempts(a -> true)).hasSize(4);
    }

    @Test
    void exitsOfAPlaceAddUpAndNameTheirCause() {
        List<Transitions.Row> rows = Transitions.of(Evidence.of(library(), "us", PLAIN, LEXICON));
        List<Transitions.Row> standing =
                rows.stream().filter(r -> r.from().equals("STD")).toList();
        assertThat(standing).singleElement().satisfies(r -> {
            assertThat(r.to()).isEqualTo("CLG");
            assertThat(r.toRole()).isEqualTo(Role.HOLDER);
            assertThat(r.by()).isEqualTo("other");
            assertThat(r.technique()).isEqualTo("guard-pull");
            assertThat(r.estimate().x()).isEqualTo(4);
            assertThat(r.estimate().n()).isEqualTo(4);
        });
    }
}
