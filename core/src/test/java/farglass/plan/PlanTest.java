package farglass.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.stats.Grade;
import farglass.stats.TagRef;
import farglass.tendency.Filter;
import java.util.List;
import org.junit.jupiter.api.Test;

class PlanTest {
    private static final PinnedClaim CLAIM =
            new PinnedClaim("her", "side.pass", "She passes left.", "9 of 10 in 5 matches", 0.8, 0.6, 0.9, Grade.FAIR);
    private final Plan empty = Plan.empty("p", "Plan", "us", "her");

    @Test
    void forksAlternateBetweenOursAndTheirs() {
        Plan p = empty.open("collar grip").follow("f1", "pulls").follow("f2", "step back");
        assertThat(p.find("f1").orElseThrow().ours()).isTrue();
        assertThat(p.find("f2").orElseThrow().ours()).isFalse();
        assertThat(p.find("f3").orElseThrow().ours()).isTrue();
        assertThat(p.openings().get(0).size()).isEqualTo(3);
        assertThat(p.openings().get(0).depth()).isEqualTo(3);
    }

    @Test
    void idsAreNeverUsedTwice() {
        Plan p = empty.open("one")
                .follow("f1", "two")
                .follow("f1", "three")
                .drop("f2")
                .open("four");
        assertThat(p.find("f4").orElseThrow().text()).isEqualTo("four");
        assertThat(p.find("f2")).isEmpty();
        assertThat(p.find("f3").orElseThrow().text()).isEqualTo("three");
    }

    @Test
    void droppingAForkDropsWhatFollows() {
        Plan p = empty.open("one").follow("f1", "two").follow("f2", "three").drop("f2");
        assertThat(p.find("f3")).isEmpty();
        assertThat(p.openings().get(0).next()).isEmpty();
    }

    @Test
    void aClaimPinnedAgainIsTheNewerReading() {
        PinnedClaim newer =
                new PinnedClaim("her", "side.pass", "She passes left.", "12 of 13", 0.85, 0.7, 0.95, Grade.STRONG);
        Plan p = empty.pin(CLAIM).pin(newer);
        assertThat(p.pinned()).containsExactly(newer);
        assertThat(p.isPinned("her", "side.pass")).isTrue();
        assertThat(p.unpin(CLAIM).pinned()).isEmpty();
    }

    @Test
    void aForkRestsOnClaims() {
        Plan p = empty.open("one").change("f1", f -> f.resting(CLAIM).text("two", "why"));
        assertThat(p.find("f1").orElseThrow().claims()).containsExactly(CLAIM);
        assertThat(p.find("f1").orElseThrow().note()).isEqualTo("why");
        assertThat(p.change("f1", f -> f.without(CLAIM))
                        .find("f1")
                        .orElseThrow()
                        .claims())
                .isEmpty();
        assertThat(empty.openings()).as("the plan before is as it was").isEmpty();
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> empty.follow("f9", "x")).hasMessage("no fork f9");
        assertThatThrownBy(() -> new Assignment("a", "us", List.of(), "e", null, "points-gi", "gi", 0))
                .hasMessage("match length (0 minutes) must be positive");
    }

    @Test
    void aJudgementIsReplacedAndAnEmptyOneIsNone() {
        Plan p = Plan.empty("p", "Against them", "us", "them");
        Judgement doubted = Judgement.none("them", "side.pass").doubt(" one film ");
        Plan once = p.judge(doubted);
        assertThat(once.judgement("them", "side.pass").doubt()).isEqualTo("one film");
        assertThat(once.judgement("us", "side.pass"))
                .as("of another athlete")
                .isEqualTo(Judgement.none("us", "side.pass"));
        Plan twice = once.judge(doubted.doubt("two films"));
        assertThat(twice.judgements()).hasSize(1);
        assertThat(twice.judge(Judgement.none("them", "side.pass"))).isEqualTo(p);
    }

    @Test
    void ownClaimsAreNumberedOnceAndCanBeWithdrawn() {
        Plan p = Plan.empty("p", "Against them", "us", "them")
                .claim("them", "first", List.of(new TagRef("m", "t1")))
                .claim("them", "second", List.of(new TagRef("m", "t2")));
        assertThat(p.own()).extracting(OwnClaim::sentence).containsExactly("first", "second");
        String first = p.own().get(0).id();
        Plan less = p.withdraw(first);
        assertThat(less.own()).extracting(OwnClaim::sentence).containsExactly("second");
        assertThat(less.claim("them", "third", List.of()).own())
                .extracting(OwnClaim::id)
                .doesNotHaveDuplicates();
    }

    @Test
    void aPinShowsItsNumberWithItsUnit() {
        assertThat(CLAIM.number()).as("pinned before units were kept").isEqualTo("80% (60% to 90%)");
        PinnedClaim rate = new PinnedClaim(
                "her",
                "rate.x",
                "She shoots.",
                "34 in 28.8 min",
                11.5,
                7.9,
                15.7,
                Grade.FAIR,
                "11.5 (7.9-15.7 per 10 min)",
                Filter.ALL);
        assertThat(rate.number()).isEqualTo("11.5 (7.9-15.7 per 10 min)");
        assertThat(new PinnedClaim("a", "b", "c", "d", Double.NaN, 0, 1, Grade.THIN).number())
                .startsWith("?");
    }

    @Test
    void clausesAreNumberedAndTakenBack() {
        Plan p = empty.open("pull").promise("f1", " no guard pull ").promise("", "at least 2 takedowns");
        assertThat(p.clauses()).extracting(farglass.conduct.Clause::id).containsExactly("c1", "c2");
        assertThat(p.clauses().get(0).text()).isEqualTo("no guard pull");
        assertThat(p.release("c1").promise("", "no sweep").clauses())
                .extracting(farglass.conduct.Clause::id)
                .containsExactly("c2", "c3");
    }

    @Test
    void aStateIsLaidByReplacedRestoredAndForgotten() {
        Plan bold = empty.open("shoot").approach(Approach.USUAL.emphasis(1)).save("bold");
        Plan calm = bold.approach(Approach.USUAL.emphasis(0)).open("wait").save("calm");
        assertThat(calm.saved()).extracting(Saved::name).containsExactly("bold", "calm");
        Plan back = calm.restore(calm.saved().get(0));
        assertThat(back.approach().emphasis()).isEqualTo(1);
        assertThat(back.openings()).hasSize(1);
        assertThat(back.saved()).as("what is laid by stays").hasSize(2);
        assertThat(back.save("calm").saved().get(1).approach().emphasis()).isEqualTo(1);
        assertThat(back.forget("bold").saved()).extracting(Saved::name).containsExactly("calm");
        assertThatThrownBy(() -> empty.save(" ")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void opponentsAreAsLikelyUntilSomebodySaysOtherwise() {
        Assignment a = new Assignment("a", "us", List.of("x", "y"), "e", null, "points-gi", "gi", 8);
        assertThat(a.chance("x")).isEqualTo(0.5);
        assertThat(a.chance("x", 0.9).chance("x")).isEqualTo(0.9);
        assertThat(a.chance("x", 0.9).chance("y")).isEqualTo(0.5);
        assertThat(a.chance("x", 0.9).unweighted()).isEqualTo(a);
        assertThatThrownBy(() -> a.chance("x", 1.1)).isInstanceOf(IllegalArgumentException.class);
    }
}
