package farglass.profile;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.ask.Asked;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.stats.Difference;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Two athletes who pass to different sides with known success, questions about them, and claims of one's own. */
class ComparisonTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 1, 1);
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);

    private static MatchRecord match(String id, int day, String a, String b, Side side, boolean works) {
        return named(
                id,
                DAY.plusDays(day),
                a,
                b,
                start(),
                at(0, "STD"),
                does(10, Corner.B, "guard-pull", "CLG"),
                guard(10, "CLG", Corner.B),
                tries(30, Corner.A, "knee-cut").sided(side).result(Outcome.STUFFED, 1, null, null),
                tries(50, Corner.A, "knee-cut")
                        .sided(side)
                        .result(works ? Outcome.COMPLETED : Outcome.STUFFED, works ? 4 : 2, works ? "SDC" : null, null),
                works ? held(52, "SDC", Corner.A) : guard(52, "HFG", Corner.B),
                end(300));
    }

    private static List<MatchRecord> library() {
        List<MatchRecord> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            all.add(match("r" + i, i, "righty", "x" + i, Side.RIGHT, true));
            all.add(match("l" + i, i, "lefty", "y" + i, Side.LEFT, i < 2));
        }
        all.add(match("both", 20, "righty", "lefty", Side.RIGHT, true));
        return all;
    }

    private static Profile profile(String who, Filter f) {
        return Profile.of(library(), who, f, LEXICON, 1);
    }

    @Test
    void sidesAreComparedOnOneSideAndClearDifferencesComeFirst() {
        Comparison c = Comparison.of(profile("righty", PLAIN), profile("lefty", PLAIN));
        Comparison.Row side = c.rows().stream()
                .filter(r -> r.a().topic() == Claim.Topic.SIDE && r.a().id().equals("side.pass"))
                .findFirst()
                .orElseThrow();
        assertThat(side.a().estimate().x()).isEqualTo(18);
        assertThat(side.b().estimate().x())
                .as("turned to the first athlete's side")
                .isZero();
        assertThat(side.b().template()).isEqualTo(side.a().template());
        assertThat(side.difference().clear()).isTrue();
        assertThat(side.difference().value())
                .isCloseTo(side.a().estimate().mean() - side.b().estimate().mean(), within(1e-12));
        Difference again = Difference.of(side.a().estimate(), side.b().estimate());
        assertThat(side.difference()).isEqualTo(again);
        boolean unclear = false;
        for (Comparison.Row r : c.rows()) {
            assertThat(unclear && r.difference().clear())
                    .as("a clear row after an unclear one")
                    .isFalse();
            unclear |= !r.difference().clear();
        }
        assertThat(c.meetings()).extracting(MatchRecord::id).containsExactly("both");
    }

    @Test
    void oneAthleteUnderTwoFiltersHasNoMeetingsAndNoDifferenceToItself() {
        Comparison c = Comparison.of(profile("righty", PLAIN), profile("righty", PLAIN));
        assertThat(c.meetings()).isEmpty();
        assertThat(c.rows()).isNotEmpty().allSatisfy(r -> {
            assertThat(r.difference().value()).isZero();
            assertThat(r.difference().clear()).isFalse();
        });
        Comparison parts = Comparison.of(
                profile("righty", PLAIN.dates(null, DAY.plusDays(3))),
                profile("righty", PLAIN.dates(DAY.plusDays(4), null)));
        Comparison.Row works = parts.rows().stream()
                .filter(r -> r.a().id().equals("technique.knee-cut"))
                .findFirst()
                .orElseThrow();
        assertThat(works.a().estimate().n()).isEqualTo(8);
        assertThat(works.b().estimate().n()).isEqualTo(10);
    }

    private static Answer ask(String who, String text) {
        Map<String, String> names = Map.of("righty", "Righty", "lefty", "Lefty");
        return Answer.of(LibraryIndex.of(library(), LEXICON), who, Asked.read(text, LEXICON, names, PLAIN), 1);
    }

    @Test
    void aQuestionIsAnsweredWithItsCounts() {
        Answer right = ask("righty", "passes to the right");
        assertThat(right.claims()).extracting(Claim::template).contains("ask.side", "ask.works.side");
        Claim works = right.claims().stream()
                .filter(c -> c.template().equals("ask.works.side"))
                .findFirst()
                .orElseThrow();
        assertThat(works.estimate().x()).isEqualTo(9);
        assertThat(works.estimate().n()).isEqualTo(18);
        assertThat(ask("lefty", "how often knee cuts").claims())
                .singleElement()
                .satisfies(c -> assertThat(c.estimate().x()).isEqualTo(16));
        assertThat(ask("lefty", "knee cuts against righty").claims())
                .as("lefty never passed there")
                .isEmpty();
        assertThat(ask("righty", "time in closed guard").claims()).isNotEmpty();
        assertThat(ask("righty", "triangles").claims()).isEmpty();
    }

    @Test
    void anOwnClaimCountsTheTagsThatTheFilterLeaves() {
        Evidence e = Evidence.of(library(), "righty", PLAIN.dates(null, DAY.plusDays(3)), LEXICON);
        List<TagRef> refs = new ArrayList<>();
        for (Evidence.Act a : Evidence.of(library(), "righty", PLAIN, LEXICON)
                .acts(x -> x.own() && x.action().technique().equals("knee-cut"))) {
            refs.add(a.ref());
        }
        Claim c = OwnClaims.of(e, "own.1", "Cuts early", refs);
        assertThat(refs).hasSize(18);
        assertThat(c.estimate().x()).isEqualTo(8);
        assertThat(c.estimate().matches()).isEqualTo(4);
        assertThat(c.unit()).isEqualTo(Claim.Unit.COUNT);
        assertThat(new ClaimWriter(java.util.Locale.ENGLISH).sentence(c)).isEqualTo("Cuts early");
    }
}
