package farglass.profile;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Role;
import farglass.match.Side;
import farglass.match.Situation;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.stats.Curve;
import farglass.stats.Grade;
import farglass.stats.Trial;
import farglass.tendency.Filter;
import farglass.tendency.FinishTree;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Six matches that follow one script, so that every page can be counted by hand. */
class PagesTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);
    private static final int MATCHES = 6;
    private static final ClaimWriter WRITER = new ClaimWriter(Locale.ENGLISH);

    /**
     * On the feet to 0:10, then on top of closed guard to 0:40 (two cuts to the right, a toreando to the left between
     * them), side control, mount from 1:00, two arm locks, guard again from 2:10; every other match is swept at 2:30,
     * all end at 5:00.
     */
    private static MatchRecord match(int i) {
        List<Tag> tags = new ArrayList<>(List.of(
                start(),
                at(0, "STD"),
                new Tag.Grip(s(3), Corner.A, "collar-same", Side.RIGHT, "deep", null, null, TagInfo.NONE),
                does(10, Corner.B, "guard-pull", "CLG"),
                guard(10, "CLG", Corner.B),
                tries(20, Corner.A, "knee-cut").sided(Side.RIGHT).result(Outcome.STUFFED, 1, null, null),
                tries(30, Corner.A, "toreando").sided(Side.LEFT).result(Outcome.NEAR, 2, null, null),
                tries(40, Corner.A, "knee-cut").sided(Side.RIGHT).result(Outcome.COMPLETED, 4, "SDC", null),
                held(40, "SDC", Corner.A),
                tries(60, Corner.A, "to-mount").result(Outcome.COMPLETED, 4, "MNT", null),
                held(60, "MNT", Corner.A),
                tries(80, Corner.A, "armbar").sided(Side.RIGHT).result(Outcome.NEAR, 2, null, null),
                tries(100, Corner.A, "armbar")
                        .sided(Side.LEFT)
                        .result(i < 2 ? Outcome.COMPLETED : Outcome.NEAR, i < 2 ? 4 : 3, null, null),
                tries(130, Corner.B, "hip-escape").result(Outcome.COMPLETED, 4, "CLG", null),
                guard(130, "CLG", Corner.B)));
        boolean swept = i % 2 == 0;
        tags.add(tries(150, Corner.B, "scissor-sweep")
                .sided(Side.LEFT)
                .result(swept ? Outcome.COMPLETED : Outcome.STUFFED, swept ? 4 : 1, swept ? "MNT" : null, null));
        if (swept) {
            tags.add(held(150, "MNT", Corner.B));
        }
        tags.add(end(300));
        return named("m" + i, LocalDate.of(2026 + i / 2, 1, 1).plusDays(i), "us", "x" + i, tags.toArray(new Tag[0]));
    }

    private static Profile profile(String who) {
        List<MatchRecord> all = new ArrayList<>();
        for (int i = 0; i < MATCHES; i++) {
            all.add(match(i));
        }
        return Profile.of(all, who, PLAIN, LEXICON, 1);
    }

    private static Claim claim(Question q, String id) {
        return profile("us").page(q).claims().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new AssertionError(id + " on " + q));
    }

    private static void counts(Question q, String id, double x, double n) {
        Claim c = claim(q, id);
        assertThat(c.estimate().x()).as(id + " x").isEqualTo(x);
        assertThat(c.estimate().n()).as(id + " n").isEqualTo(n);
        assertThat(c.estimate().lo()).as(id).isLessThanOrEqualTo(c.estimate().mean() + 1e-9);
        assertThat(c.estimate().hi()).as(id).isGreaterThanOrEqualTo(c.estimate().mean() - 1e-9);
    }

    @Test
    void passesAreCountedBySideStyleAndHowFarTheyGot() {
        counts(Question.PASSING, "side.pass", 12, 18);
        counts(Question.PASSING, "chosen.knee-cut", 12, 18);
        counts(Question.PASSING, "chosen.toreando", 6, 18);
        counts(Question.PASSING, "technique.knee-cut", 6, 12);
        counts(Question.PASSING, "technique.toreando", 0, 6);
        counts(Question.PASSING, "ladder.pass.2", 12, 18);
        counts(Question.PASSING, "ladder.pass.3", 6, 18);
        counts(Question.PASSING, "ladder.pass.4", 6, 18);
    }

    @Test
    void aRateIsPerTenMinutesOfTimeInWhichItWasPossible() {
        // closed guard from 0:10 to 0:40 and from 2:10 to 2:30 or to the end at 5:00
        double exposure = MATCHES * 30_000 + 3 * 20_000 + 3 * 170_000;
        counts(Question.PASSING, "rate.knee-cut", 12, exposure);
        assertThat(claim(Question.PASSING, "rate.knee-cut").estimate().raw())
                .isCloseTo(12 / exposure * 600_000, within(1e-9));
        assertThat(WRITER.interval(claim(Question.PASSING, "rate.knee-cut"))).endsWith("per 10 min");
    }

    @Test
    void staysOnTopEndByAPassASweepOrTheEnd() {
        counts(Question.PASSING, "top.held", 3, 12);
        counts(Question.PASSING, "top.passed", 6, 12);
        counts(Question.PASSING, "top.swept", 3, 12);
        Section top = profile("us").page(Question.PASSING).sections().stream()
                .filter(x -> x.figure() instanceof Figure.Curves)
                .findFirst()
                .orElseThrow();
        Figure.Curves curves = (Figure.Curves) top.figure();
        Map<String, List<Trial>> ends = curves.trials();
        assertThat(ends.get("passed")).hasSize(6);
        assertThat(ends.get("swept")).hasSize(3);
        Curve held = curves.curves().get(0);
        assertThat(held.cause()).isEqualTo(Curve.HELD);
        // nobody has left before 20 s; 3 of 12 are swept then, and of the 9 left 6 pass at 30 s
        assertThat(held.at(19_000).orElseThrow().value()).isEqualTo(1);
        assertThat(held.at(25_000).orElseThrow().value()).isCloseTo(0.75, within(1e-9));
        assertThat(held.at(60_000).orElseThrow().value()).isCloseTo(0.25, within(1e-9));
    }

    @Test
    void theOtherActsFirstAndTheGroundIsReachedAfterTenSeconds() {
        counts(Question.TAKEDOWNS, "opening.other", 6, 6);
        Claim ground = claim(Question.TAKEDOWNS, "takedowns.ground");
        assertThat(ground.unit()).isEqualTo(Claim.Unit.TIME);
        assertThat(ground.estimate().raw()).isEqualTo(10_000);
        assertThat(WRITER.number(ground)).isEqualTo("10.0");
        counts(Question.TAKEDOWNS, "grip.first", 6, 6);
        counts(Question.TAKEDOWNS, "grip.first.collar-same", 6, 6);
    }

    @Test
    void locksAreTheDenominatorOfFinishes() {
        counts(Question.FINISHES, "lock.armbar", 2, 12);
        counts(Question.FINISHES, "technique.armbar", 2, 12);
        counts(Question.FINISHES, "side.submission", 6, 12);
        Figure.Trees trees = (Figure.Trees) profile("us").page(Question.FINISHES).sections().stream()
                .map(Section::figure)
                .filter(Figure.Trees.class::isInstance)
                .findFirst()
                .orElseThrow();
        FinishTree.Node root = trees.roots().get(0);
        assertThat(root.step().code()).isEqualTo("armbar");
        assertThat(root.n()).isEqualTo(12);
        assertThat(root.x()).isEqualTo(2);
        assertThat(root.before().stream().mapToInt(FinishTree.Node::n).sum()).isLessThanOrEqualTo(12);
        assertThat(root.before()).isNotEmpty();
    }

    @Test
    void theKneeCutWorksAfterTheToreandoAndNotBefore() {
        Claim d = claim(Question.REACTIONS, "dilemma.toreando.knee-cut");
        assertThat(d.estimate().n()).isEqualTo(12);
        assertThat(d.estimate().mean()).isGreaterThan(0.7);
        assertThat(WRITER.sentence(d)).contains("6 of 6").contains("0 of 6");
        counts(Question.REACTIONS, "reaction.others.armbar.none", 10, 10);
    }

    @Test
    void timeIsSharedOutOverThePlaces() {
        counts(Question.WHEN, "place.standing", MATCHES * 10_000, MATCHES * 300_000);
        counts(Question.WHEN, "place.topGuard", MATCHES * 30_000 + 3 * 20_000 + 3 * 170_000, MATCHES * 300_000);
        counts(Question.WHEN, "place.pinning", MATCHES * 90_000, MATCHES * 300_000);
        counts(Question.WHEN, "place.pinned", 3 * 150_000, MATCHES * 300_000);
        double sum = profile("us").page(Question.WHEN).sections().get(0).claims().stream()
                .mapToDouble(c -> c.estimate().raw())
                .sum();
        assertThat(sum).isCloseTo(1, within(1e-9));
    }

    @Test
    void allAttacksFallIntoTheFirstThirdAndAsHolder() {
        // 480 s are scheduled: thirds of 160 s
        counts(Question.WHEN, "when.clock.first-third.pace", 36, MATCHES * 160_000);
        counts(Question.WHEN, "when.clock.second-third.pace", 0, MATCHES * 140_000);
        counts(Question.WHEN, "when.clock.first-third.works", 14, 36);
        counts(Question.WHEN, "when.role.holder.works", 14, 36);
        assertThat(claim(Question.WHEN, "when.role.under.pace").estimate().x()).isZero();
    }

    @Test
    void theArmLockWorkedThenAndNotNow() {
        Claim moved = claim(Question.THEN_AND_NOW, "changed.works.armbar");
        assertThat(moved.estimate().n()).isEqualTo(12);
        assertThat(moved.estimate().mean()).isNegative();
        assertThat(WRITER.sentence(moved)).contains("0 of 6").contains("2 of 6");
        Figure.Years years = (Figure.Years) profile("us").page(Question.THEN_AND_NOW).sections().stream()
                .map(Section::figure)
                .filter(Figure.Years.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThat(years.years()).containsExactly(2026, 2027, 2028);
        assertThat(years.rows()).allSatisfy(r -> assertThat(r.trials()).hasSize(3));
    }

    @Test
    void whatWasNeverShownHasAnUpperBound() {
        Claim leg = claim(Question.NOT_SEEN, "never.leg");
        // 1 - 0.05^(1/6): in at most 39 % of matches
        assertThat(leg.estimate().hi()).isCloseTo(1 - Math.pow(0.05, 1.0 / MATCHES), within(0.02));
        assertThat(WRITER.number(leg)).isEqualTo("0");
        assertThat(WRITER.counts(leg)).contains("6 seen whole");
        assertThat(profile("us").page(Question.NOT_SEEN).claims())
                .as("what was tried is not among it")
                .noneMatch(c -> c.id().equals("never.technique.armbar"));
        counts(Question.NOT_SEEN, "coverage.pin", MATCHES * 90_000 + 3 * 150_000, MATCHES * 300_000);
    }

    @Test
    void theOthersAreMostlyHeldDownAndTheirGuardIsTold() {
        Profile one = profile("x0");
        Claim guard = one.page(Question.GUARDS).claims().stream()
                .filter(c -> c.id().equals("guard.CLG"))
                .findFirst()
                .orElseThrow();
        assertThat(guard.estimate().x()).isEqualTo(50_000);
        assertThat(guard.estimate().n()).isEqualTo(50_000);
        assertThat(guard.estimate().grade()).isEqualTo(Grade.THIN);
        assertThat(guard.oneMatch()).isTrue();
        assertThat(WRITER.notes(guard)).contains("from one match only");
    }

    /**
     * In one guard he goes on from the knee cut to the toreando every time; the rest of the row is what always comes
     * with it.
     */
    @Test
    void anOrderThatNothingForcesIsAChain() {
        Claim only = profile("us").page(Question.CHAINS).claims().stream()
                .filter(c -> c.id().startsWith("chain."))
                .reduce((x, y) -> {
                    throw new AssertionError("two chains: " + x + y);
                })
                .orElseThrow();
        assertThat(only.args().get(1)).contains("knee cut \u2192 toreando");
        assertThat(only.estimate().n()).isEqualTo(MATCHES);
        assertThat(only.unit()).isEqualTo(Claim.Unit.TIMES_EXPECTED);
        assertThat(only.estimate().lo()).isLessThanOrEqualTo(only.estimate().mean());
        assertThat(WRITER.number(only)).startsWith("\u00d7");
        assertThat(WRITER.interval(only)).startsWith("\u2265");
    }

    @Test
    void tablesHoldInFullWhatPagesShowInPart() {
        Tables t = Tables.of(profile("us"), 1);
        assertThat(t.answered()).extracting(r -> r.trigger()).contains("knee-cut", "armbar", "toreando");
        t.answered().forEach(row -> {
            double x = row.answers().stream().mapToDouble(a -> a.share().x()).sum();
            assertThat(x).as("answers to the " + row.trigger()).isEqualTo(row.count());
        });
        assertThat(t.dilemmas()).singleElement().satisfies(d -> {
            assertThat(d.x()).isEqualTo("toreando");
            assertThat(d.y()).isEqualTo("knee-cut");
            assertThat(d.odds().lo()).isPositive();
            assertThat(d.q()).isLessThanOrEqualTo(0.1);
        });
        Tables.Dwell mount = t.dwell().stream()
                .filter(d -> d.at().equals(new Situation("MNT", Role.HOLDER)))
                .findFirst()
                .orElseThrow();
        assertThat(mount.stays()).isEqualTo(MATCHES);
        assertThat(mount.held().at(69_000).orElseThrow().value()).isEqualTo(1);
        assertThat(mount.held().at(70_000).orElseThrow().value()).isZero();
        assertThat(mount.exits()).extracting(Tables.Exit::to).containsExactly(new Situation("CLG", Role.HOLDER));
    }

    @Test
    void claimsWorthSayingStandByGradeAndNeverSayTheSameTwice() {
        List<Claim> claims = profile("us").claims();
        assertThat(claims).isNotEmpty();
        Grade last = Grade.STRONG;
        for (Claim c : claims) {
            assertThat(c.estimate().grade().compareTo(last)).as(c.id()).isNotNegative();
            last = c.estimate().grade();
        }
        for (int i = 0; i < claims.size(); i++) {
            for (int k = i + 1; k < claims.size(); k++) {
                boolean same =
                        !claims.get(i).trials().isEmpty() && claims.get(i).saysTheSameAs(claims.get(k));
                assertThat(same)
                        .as(claims.get(i).id() + " " + claims.get(k).id())
                        .isFalse();
            }
        }
        assertThat(claims).noneMatch(c -> c.id().startsWith("coverage."));
    }
}
