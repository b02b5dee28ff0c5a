package farglass.check;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.rules.Scoring;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Gi and no-gi, and what explains a way from standing to the ground. */
class AttireCheckTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static MatchRecord match(String attire, String ruleset, Tag... tags) {
        List<Tag> all = new java.util.ArrayList<>(List.of(Records.start(), Records.at(0, "STD")));
        all.addAll(List.of(tags));
        all.add(Records.end(300));
        MatchRecord r = Records.of(all.toArray(Tag[]::new));
        return r.withDetails(r.details().attire(attire).ruleset(ruleset));
    }

    private static List<Finding> findings(MatchRecord r) {
        return RecordCheck.findings(r, rules(r), LEXICON);
    }

    private static Ruleset rules(MatchRecord r) {
        return Rulesets.builtIn().of(r.details().ruleset(), null).orElseThrow();
    }

    private static List<Finding> of(MatchRecord r, String code) {
        return findings(r).stream().filter(f -> f.code().equals(code)).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "no-gi, points-gi, 1",
        "gi, points-nogi, 1",
        "gi, points-gi, 0",
        "no-gi, points-nogi, 0",
        "no-gi, submission-only, 0",
        "gi, late-points, 0",
        "not-visible, points-gi, 0"
    })
    void theRulesetIsOfTheClothes(String attire, String ruleset, int found) {
        assertThat(of(match(attire, ruleset), "attire-differs")).hasSize(found);
    }

    @Test
    void eitherTheClothesOrTheRulesetIsPutRight() {
        MatchRecord r = match("no-gi", "points-gi");
        Finding f = of(r, "attire-differs").get(0);
        assertThat(f.repairs()).hasSize(2);
        for (Finding.Repair way : f.repairs()) {
            assertThat(of(way.edit().apply(r), "attire-differs"))
                    .as(way.words())
                    .isEmpty();
        }
        assertThat(f.repairs().get(0).edit().apply(r).details().attire()).isEqualTo("gi");
        assertThat(f.repairs().get(1).edit().apply(r).details().ruleset()).isEqualTo("points-nogi");
    }

    @ParameterizedTest
    @ValueSource(strings = {"cross-collar-choke", "loop-choke", "bow-and-arrow", "sleeve-choke", "collar-drag"})
    void whatNeedsClothIsDoubtedWithoutIt(String technique) {
        Tag choke = Records.tries(20, Corner.A, technique);
        assertThat(of(match("no-gi", "points-nogi", choke), "gi-in-no-gi")).hasSize(1);
        assertThat(of(match("gi", "points-gi", choke), "gi-in-no-gi")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"collar-cross, 1", "sleeve-same, 1", "lapel, 1", "wrist, 0", "two-on-one, 0"})
    void gripsToo(String grip, int found) {
        Tag held = new Tag.Grip(Records.s(20), Corner.A, grip, Side.RIGHT, null, null, null, TagInfo.NONE);
        MatchRecord r = match("no-gi", "points-nogi", held);
        List<Finding> doubts = of(r, "gi-in-no-gi");
        assertThat(doubts).hasSize(found);
        doubts.forEach(f -> {
            Edit worn = f.repair();
            assertThat(worn.apply(r).details().attire()).isEqualTo("gi");
        });
    }

    /** Ruling R20: the takedown or the pull, and the score follows. */
    @Test
    void aWayToTheGuardIsExplainedEitherWay() {
        MatchRecord r = match("gi", "points-gi", Records.guard(10, "HFG", Corner.B));
        Finding f = of(r, "transition-without-action").get(0);
        assertThat(f.repairs()).extracting(Finding.Repair::words).hasSize(2).anyMatch(w -> w.endsWith("pulled guard"));
        assertThat(score(r, Corner.A)).isZero();
        for (Finding.Repair way : f.repairs()) {
            MatchRecord after = way.edit().apply(r);
            assertThat(of(after, "transition-without-action")).as(way.words()).isEmpty();
            assertThat(score(after, Corner.A))
                    .as(way.words())
                    .isEqualTo(way.words().endsWith("pulled guard") ? 0 : 2);
        }
    }

    @Test
    void anAttemptThatIsThereIsTheOneThatWorked() {
        MatchRecord r =
                match("gi", "points-gi", Records.tries(8, Corner.A, "single-leg"), Records.guard(10, "HFG", Corner.B));
        Finding f = of(r, "transition-without-action").get(0);
        Finding.Repair worked = f.repairs().stream()
                .filter(w -> w.words().contains("single leg"))
                .findFirst()
                .orElseThrow();
        MatchRecord after = worked.edit().apply(r);
        assertThat(after.tags()).hasSameSizeAs(r.tags());
        assertThat(score(after, Corner.A)).isEqualTo(2);
    }

    @Test
    void ontoTheGroundWithoutAGuardOnlyATakedownExplains() {
        MatchRecord r = match("gi", "points-gi", Records.held(10, "SDC", Corner.A));
        Finding f = of(r, "transition-without-action").get(0);
        assertThat(f.repairs()).hasSize(1);
        assertThat(score(f.repair().apply(r), Corner.A)).isEqualTo(2);
    }

    private static int score(MatchRecord r, Corner c) {
        return Scoring.of(r, rules(r), LEXICON).points(c);
    }
}
