package farglass.check;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.Outcome;
import farglass.match.Records;
import farglass.match.RemarkKind;
import farglass.match.Result;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class RecordCheckTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Ruleset GI = Rulesets.builtIn().of("points-gi", null).orElseThrow();

    private static List<Finding> findings(MatchRecord r) {
        return RecordCheck.findings(r, GI, LEXICON);
    }

    private static MatchTime s(double seconds) {
        return Records.s(seconds);
    }

    private static MatchRecord match(Tag... tags) {
        List<Tag> all = new ArrayList<>(List.of(Records.start(), Records.at(0, "STD")));
        all.addAll(List.of(tags));
        all.add(Records.end(300));
        return Records.of(all.toArray(Tag[]::new));
    }

    private static Tag.Position place(double t, String code, Corner holder, Corner guard) {
        return Tag.Position.of(s(t), code, holder, guard);
    }

    private static Tag.Action does(double t, Corner by, String technique, String to) {
        return Records.does(t, by, technique, to);
    }

    private static Tag.Action tries(double t, Corner by, String technique) {
        return Tag.Action.of(s(t), by, technique);
    }

    private static Tag.Grip grip(double t, Double until) {
        return new Tag.Grip(
                s(t), Corner.A, "sleeve-same", Side.LEFT, "deep", until == null ? null : s(until), null, TagInfo.NONE);
    }

    private static Arguments wrong(String code, boolean repaired, Tag... tags) {
        return Arguments.of(code, repaired, match(tags));
    }

    static Stream<Arguments> doubtful() {
        Corner a = Corner.A;
        Corner b = Corner.B;
        Tag[] inGuard = {does(5, a, "guard-pull", "CLG"), place(5, "CLG", b, a)};
        Tag.Action omoplata = tries(20, a, "omoplata").sided(Side.RIGHT);
        Tag.Action limb = Tag.Action.of(omoplata.t(), a, "omoplata")
                .builder()
                .sides(omoplata.sides())
                .limb("right-arm")
                .build();
        Tag.Remark error = new Tag.Remark(
                s(5), RemarkKind.ERROR, null, "seen", "reaches back", null, null, Map.of(), TagInfo.NONE);
        return Stream.of(
                wrong("unknown-code", false, tries(5, a, "moon-sweep")),
                wrong("second-start", true, new Tag.Start(s(5), TagInfo.NONE)),
                wrong("second-end", true, new Tag.End(s(200), TagInfo.NONE)),
                wrong("after-end", true, tries(301, a, "double-leg")),
                wrong("past-length", true, tries(900, a, "double-leg")),
                wrong("ahead-in-neutral", true, place(5, "CLN", a, null)),
                wrong("who-plays-guard", true, inGuard[0], inGuard[1], place(20, "HFG", null, null)),
                wrong("ahead-and-guard", true, does(5, a, "guard-pull", "HFG"), place(5, "HFG", a, a)),
                wrong("who-is-ahead", true, does(5, a, "double-leg", "SDC"), place(5, "SDC", null, null)),
                wrong("guard-in-pin", true, does(5, a, "double-leg", "SDC"), place(5, "SDC", a, b)),
                wrong("same-place-again", true, inGuard[0], inGuard[1], place(20, "CLG", b, a)),
                wrong("blink", true, inGuard[0], inGuard[1], place(5.1, "HFG", b, a)),
                wrong("long-place", false, inGuard[0], inGuard[1]),
                wrong("unlikely-transition", false, place(5, "MNT", a, null)),
                wrong("transition-without-action", true, place(5, "CLG", b, a)),
                wrong("lock-without-threat", false, inGuard[0], inGuard[1], tries(20, a, "triangle"), lock(null)),
                wrong("lock-without-attempt", true, inGuard[0], inGuard[1], lock(2)),
                wrong("start-place", false, tries(5, a, "x-sweep")),
                wrong("wrong-role", true, inGuard[0], inGuard[1], tries(20, b, "scissor-sweep")),
                wrong(
                        "side-without-meaning",
                        true,
                        inGuard[0],
                        inGuard[1],
                        tries(30, b, "guard-opening").sided(Side.LEFT)),
                wrong("restricted", false, tries(5, a, "scissor-takedown")),
                wrong("feint-of-what", false, tries(5, a, "feint")),
                wrong("limb-side", true, inGuard[0], inGuard[1], limb),
                wrong("target-differs", true, does(5, a, "double-leg", "SDC"), place(6, "HFG", a, b)),
                wrong("no-place-after", true, does(5, a, "double-leg", "SDC")),
                wrong("outcome-ladder", true, tries(5, a, "double-leg").result(Outcome.NEAR, 4, null, null)),
                wrong("twice", true, tries(5, a, "double-leg"), tries(5.4, a, "double-leg")),
                wrong("stopped-twice", true, Records.stop(5), Records.stop(6)),
                wrong("resume-without-stop", true, Records.resume(5, "STD")),
                wrong("stop-without-resume", true, Records.stop(5), tries(9, a, "double-leg")),
                wrong("grip-twice", true, grip(5, null), grip(9, null)),
                wrong("grip-over-restart", true, grip(5, 20.0), Records.stop(9), Records.resume(9, "STD")),
                wrong("whose-error", false, error),
                wrong("error-unpunished", false, error),
                wrong("points-without-value", false, call(null)),
                wrong("table-differs", false, call(2)),
                Arguments.of("no-start", true, Records.of(Records.at(0, "STD"), Records.end(300))),
                Arguments.of(
                        "no-first-place",
                        true,
                        Records.of(Records.start(), tries(5, a, "double-leg"), Records.end(300))),
                Arguments.of("empty", false, Records.of()),
                Arguments.of(
                        "finish-without-end",
                        true,
                        Records.of(
                                Records.start(),
                                Records.at(0, "STD"),
                                tries(9, b, "guillotine").result(Outcome.COMPLETED, 4, null, null))),
                Arguments.of("no-end", true, told(Records.of(Records.start(), Records.at(0, "STD")), b)),
                Arguments.of(
                        "result-differs",
                        true,
                        told(match(does(5, a, "double-leg", "SDC"), place(5, "SDC", a, null)), b)),
                Arguments.of("no-result", true, match(does(5, a, "double-leg", "SDC"), place(5, "SDC", a, null))),
                Arguments.of("same-athlete", false, twins()),
                Arguments.of("no-ruleset", false, ruled("house-rules")));
    }

    private static Tag lock(Integer threat) {
        return Tag.Position.of(s(21), "LCK", Corner.A, null)
                .builder()
                .technique("triangle")
                .threat(threat)
                .build();
    }

    private static Tag call(Integer value) {
        return new Tag.Call(s(50), CallKind.POINTS, Corner.A, value, true, null, null, TagInfo.NONE);
    }

    private static MatchRecord told(MatchRecord r, Corner winner) {
        return r.withDetails(r.details().result(new Result(winner, Method.POINTS, null, s(300))));
    }

    private static MatchRecord ruled(String ruleset) {
        MatchRecord r = match();
        MatchRecord.Details d = r.details();
        return r.withDetails(new MatchRecord.Details(
                d.date(),
                d.event(),
                d.round(),
                d.division(),
                d.attire(),
                ruleset,
                d.lengthMs(),
                d.a(),
                d.b(),
                d.result()));
    }

    private static MatchRecord twins() {
        MatchRecord r = match();
        MatchRecord.Details d = r.details();
        MatchAthlete one = d.a();
        return r.withDetails(new MatchRecord.Details(
                d.date(),
                d.event(),
                d.round(),
                d.division(),
                d.attire(),
                d.ruleset(),
                d.lengthMs(),
                one,
                one,
                d.result()));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("doubtful")
    void whatIsDoubtfulIsFoundAndItsRepairPutsItRightAndCanBeTakenBack(String code, boolean repaired, MatchRecord r) {
        List<Finding> of =
                findings(r).stream().filter(f -> f.code().equals(code)).toList();
        assertThat(of).as("%s among %s", code, codes(findings(r))).isNotEmpty();
        Finding f = of.get(0);
        assertThat(f.message()).isNotBlank().endsWith(f.message().endsWith("?") ? "?" : ".");
        if (f.index() >= 0) {
            assertThat(f.t()).isEqualTo(r.tags().get(f.index()).t());
        }
        assertThat(f.repair() != null).as("has a repair").isEqualTo(repaired);
        if (repaired) {
            assertThat(f.remedy()).isNotBlank();
            MatchRecord after = f.repair().apply(r);
            assertThat(findings(after).stream()
                            .filter(x -> x.code().equals(code))
                            .count())
                    .as("findings of that kind after its repair")
                    .isLessThan(of.size());
            assertThat(f.repair().inverse().apply(after)).isEqualTo(r);
        }
    }

    private static Set<String> codes(List<Finding> findings) {
        return findings.stream().map(Finding::code).collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void thereAreMoreThanTwentyFiveKinds() {
        assertThat(doubtful().map(x -> x.get()[0]).distinct().count()).isGreaterThanOrEqualTo(40);
    }

    @Test
    void theDemoHasNoErrorsAndFewWarnings() {
        for (MatchRecord r : DemoLibrary.matches(LEXICON, DemoLibrary.SEED)) {
            List<Finding> found = RecordCheck.findings(
                    r,
                    Rulesets.builtIn()
                            .orUsual(r.details().ruleset(), r.details().date()),
                    LEXICON);
            assertThat(found).as(r.id()).noneMatch(f -> f.severity() == Finding.Severity.ERROR);
            assertThat(found.stream()
                            .filter(f -> f.severity() == Finding.Severity.WARNING
                                    && !f.code().equals("table-differs")))
                    .as(r.id())
                    .hasSizeLessThan(8);
        }
    }

    @Test
    void aDifferenceWithTheTableIsSettledEitherWayAndBothVersionsStay() {
        MatchRecord r = match(call(2));
        Finding f = findings(r).stream()
                .filter(x -> x.code().equals("table-differs"))
                .findFirst()
                .orElseThrow();
        Tag settled = Settled.as(r.tags().get(f.index()), true);
        MatchRecord after = Edit.replace(r, f.index(), settled).apply(r);
        assertThat(codes(findings(after))).doesNotContain("table-differs");
        assertThat(((Tag.Call) settled).value()).isEqualTo(2);
        assertThat(farglass.rules.Scoring.of(after, GI, LEXICON).differences()).hasSize(1);
    }
}
