package farglass.rules;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagChanges;
import farglass.match.TagInfo;
import farglass.rules.Score.Award;
import farglass.rules.Score.Step;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold of every score, over made-up matches with penalties thrown in. */
class ScoringPropertyTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final int SEEDS = 6;

    static Stream<MatchRecord> matches() {
        return java.util.stream.LongStream.rangeClosed(1, SEEDS)
                .boxed()
                .flatMap(seed -> DemoLibrary.matches(LEXICON, seed).stream()
                        .filter(r -> r.details().ruleset().equals("points-gi"))
                        .limit(12)
                        .map(r -> penalised(r, seed)));
    }

    private static MatchRecord penalised(MatchRecord r, long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed * 31 + r.id().hashCode());
        List<Tag> tags = new ArrayList<>(r.tags());
        for (int i = rng.nextInt(4); i > 0; i--) {
            MatchTime t = MatchTime.ofMs(rng.nextLong(r.end().ms()));
            Corner who = rng.nextBoolean() ? Corner.A : Corner.B;
            tags.add(new Tag.Call(t, CallKind.PENALTY, who, null, true, null, null, TagInfo.NONE));
        }
        return r.withFilms(List.of()).withTags(tags);
    }

    private static Score score(MatchRecord r, String ruleset) {
        return Scoring.of(r, Rulesets.builtIn().of(ruleset, null).orElseThrow(), LEXICON);
    }

    @ParameterizedTest
    @MethodSource("matches")
    void pointsNeverFallExceptByRule(MatchRecord r) {
        for (String ruleset : List.of("points-gi", "late-points")) {
            Score s = score(r, ruleset);
            for (int i = 1; i < s.scoreboard().size(); i++) {
                Step before = s.scoreboard().get(i - 1);
                Step now = s.scoreboard().get(i);
                assertThat(now.t()).isGreaterThan(before.t());
                assertThat(now.advA()).isGreaterThanOrEqualTo(before.advA());
                assertThat(now.penB()).isGreaterThanOrEqualTo(before.penB());
                boolean deducted = s.awards().stream()
                        .anyMatch(a -> a.value() < 0 && a.confirmedAt().equals(now.t()));
                if (!deducted) {
                    assertThat(now.a()).isGreaterThanOrEqualTo(before.a());
                    assertThat(now.b()).isGreaterThanOrEqualTo(before.b());
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("matches")
    void mirroringTheAthletesMirrorsTheScore(MatchRecord r) {
        Score s = score(r, "points-gi");
        Score m = score(
                r.withTags(r.tags().stream().map(ScoringPropertyTest::mirrored).toList()), "points-gi");
        assertThat(m.points(Corner.A)).isEqualTo(s.points(Corner.B));
        assertThat(m.advantages(Corner.B)).isEqualTo(s.advantages(Corner.A));
        assertThat(m.penalties(Corner.A)).isEqualTo(s.penalties(Corner.B));
        assertThat(m.near()).hasSameSizeAs(s.near());
        Corner winner = s.result().winner();
        assertThat(m.result().winner()).isEqualTo(winner == null ? null : winner.other());
    }

    private static Tag mirrored(Tag tag) {
        if (tag instanceof Tag.Resume x) {
            return new Tag.Resume(
                    x.t(),
                    x.position(),
                    x.holder() == null ? null : x.holder().other(),
                    x.guard() == null ? null : x.guard().other(),
                    x.info());
        }
        return TagChanges.swapped(tag);
    }

    @ParameterizedTest
    @MethodSource("matches")
    void aRecordCutAtAnyTimeGivesTheBeginningOfItsScoreboard(MatchRecord r) {
        Score whole = score(r, "points-gi");
        for (int k = 1; k <= 5; k++) {
            MatchTime cut = MatchTime.ofMs(r.end().ms() * k / 6);
            List<Tag> begun = new ArrayList<>(
                    r.tags().stream().filter(t -> ended(t).compareTo(cut) <= 0).toList());
            begun.add(new Tag.End(cut, TagInfo.NONE));
            Score part = score(r.withTags(begun), "points-gi");
            List<Award> expected = whole.awards().stream()
                    .filter(a -> a.confirmedAt().compareTo(cut) <= 0)
                    .toList();
            assertThat(part.awards().stream().map(a -> a.who() + a.award() + a.t() + a.confirmedAt()))
                    .as("cut at %s", cut)
                    .containsExactlyElementsOf(expected.stream()
                            .map(a -> a.who() + a.award() + a.t() + a.confirmedAt())
                            .toList());
        }
    }

    private static MatchTime ended(Tag t) {
        return t instanceof Tag.Action a ? a.end() : t.t();
    }

    @ParameterizedTest
    @MethodSource("matches")
    void theOrderOfSimultaneousTagsOfDifferentAthletesDoesNotMatter(MatchRecord r) {
        List<Tag> tags = new ArrayList<>(r.tags());
        for (int i = 1; i < tags.size(); i++) {
            boolean grips =
                    tags.get(i - 1) instanceof Tag.Call c && tags.get(i) instanceof Tag.Call d && c.who() != d.who();
            if (grips) {
                Tag later = tags.get(i).at(tags.get(i - 1).t());
                tags.set(i, tags.get(i - 1));
                tags.set(i - 1, later);
            }
        }
        List<Tag> straight = new ArrayList<>(tags);
        java.util.Collections.reverse(straight);
        straight.sort(java.util.Comparator.comparing(Tag::t));
        // only calls of one moment change places: positions and attempts of one moment stand in their order
        List<Tag> kept = tags.stream().filter(t -> !(t instanceof Tag.Call)).toList();
        List<Tag> other = new ArrayList<>(kept);
        straight.stream().filter(Tag.Call.class::isInstance).forEach(other::add);
        List<Tag> one = new ArrayList<>(kept);
        tags.stream().filter(Tag.Call.class::isInstance).forEach(one::add);
        assertThat(score(r.withTags(other), "points-gi").scoreboard())
                .isEqualTo(score(r.withTags(one), "points-gi").scoreboard());
    }

    @Test
    void uncalledInfringementsShowWhatTheScoreWouldHaveBeen() {
        MatchRecord r = matches().findFirst().orElseThrow();
        List<Tag> tags = new ArrayList<>(
                r.tags().stream().filter(t -> !(t instanceof Tag.Call)).toList());
        for (int i = 0; i < 3; i++) {
            tags.add(new Tag.Call(
                    MatchTime.ofMs(1000 + i),
                    CallKind.PENALTY,
                    Corner.A,
                    null,
                    false,
                    Corner.A,
                    "grip inside the sleeve",
                    TagInfo.NONE));
        }
        MatchRecord free = r.withTags(tags);
        Ruleset rules = Rulesets.builtIn().of("points-gi", null).orElseThrow();
        Score seen = Scoring.of(free, rules, LEXICON);
        Score called = Scoring.allCalled(free, rules, LEXICON);
        assertThat(seen.penalties(Corner.A)).isZero();
        assertThat(called.points(Corner.B)).isEqualTo(seen.points(Corner.B) + 2);
        assertThat(called.advantages(Corner.B)).isEqualTo(seen.advantages(Corner.B) + 1);
    }
}
