package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.resume;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.stop;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.Outcome;
import farglass.match.Result;
import farglass.match.Role;
import farglass.match.Tag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How long places last, what leads to a lock, what comes next. */
class DwellTimesTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 6, 1);
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);

    private static Evidence evidence(Tag... tags) {
        return Evidence.of(List.of(named("m", DAY, "us", "them", tags)), "us", PLAIN, LEXICON);
    }

    private static List<String> guards(Evidence e) {
        return DwellTimes.of(
                        e,
                        p -> p.role() == Role.GUARD,
                        (left, next) -> next.role().code())
                .stream()
                .map(x -> x.ms() / 1000 + " " + x.cause())
                .toList();
    }

    @Test
    void aChangeOfGuardDoesNotEndAStayAndARestartElsewhereCensorsIt() {
        assertThat(guards(evidence(
                        start(),
                        at(0, "STD"),
                        guard(10, "DLR", Corner.A),
                        guard(20, "RDL", Corner.A),
                        guard(30, "DLR", Corner.A),
                        held(50, "SDC", Corner.B),
                        guard(60, "CLG", Corner.A),
                        stop(80),
                        resume(80, "STD"),
                        guard(90, "CLG", Corner.A),
                        end(120))))
                .containsExactly("40 under", "20 null", "30 null");
    }

    @Test
    void filmThatBeginsInTheMiddleLeavesTheStayOut() {
        assertThat(guards(evidence(start(), guard(30, "CLG", Corner.A), held(50, "SDC", Corner.B), end(60))))
                .isEmpty();
    }

    @Test
    void aSubmissionEndsAStayForEitherSide() {
        Tag[] tags = {start(), guard(0, "CLG", Corner.A), does(20, Corner.A, "triangle", "LCK"), end(30)};
        MatchRecord r = named("m", DAY, "us", "them", tags);
        MatchRecord won = r.withDetails(r.details().result(new Result(Corner.A, Method.SUBMISSION, "triangle", s(30))));
        assertThat(guards(Evidence.of(List.of(won), "us", PLAIN, LEXICON))).containsExactly("30 finished");
        MatchRecord lost = r.withDetails(r.details().result(new Result(Corner.B, Method.SUBMISSION, "armbar", s(30))));
        assertThat(guards(Evidence.of(List.of(lost), "us", PLAIN, LEXICON))).containsExactly("30 submitted");
    }

    @Test
    void theTreeGoesBackFourTagsAndThirtySecondsAndCountsFailedLocks() {
        Evidence e = evidence(
                start(),
                guard(0, "LAS", Corner.A),
                tries(10, Corner.A, "spider-sweep"),
                tries(60, Corner.A, "lasso-sweep"),
                tries(62, Corner.B, "knee-cut"),
                Tag.Action.of(s(65), Corner.A, "triangle").result(Outcome.NEAR, 3, null, s(70)),
                tries(160, Corner.A, "lasso-sweep"),
                Tag.Action.of(s(165), Corner.A, "triangle").result(Outcome.COMPLETED, 4, null, s(171)),
                Tag.Action.of(s(180), Corner.A, "armbar").result(Outcome.STUFFED, 1, null, null),
                end(200));
        List<FinishTree.Node> roots = FinishTree.of(e);
        assertThat(roots).as("an armbar that never locked has no tree").hasSize(1);
        FinishTree.Node triangle = roots.get(0);
        assertThat(triangle.n()).isEqualTo(2);
        assertThat(triangle.x()).isEqualTo(1);
        assertThat(triangle.medianMs()).isEqualTo(5500);
        assertThat(triangle.before())
                .extracting(n -> n.step().symbol())
                .containsExactlyInAnyOrder("other knee-cut", "self lasso-sweep");
        FinishTree.Node cut = triangle.before().stream()
                .filter(n -> !n.step().own())
                .findFirst()
                .orElseThrow();
        assertThat(cut.before()).extracting(n -> n.step().code()).containsExactly("lasso-sweep");
        assertThat(cut.before().get(0).before())
                .as("fifty seconds earlier is another story")
                .isEmpty();
    }

    @Test
    void whatComesNextIsSharedAmongExitsAndShrinksTowardTheOthers() {
        List<MatchRecord> library = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            boolean pass = i % 3 == 0;
            Tag next = pass ? held(20, "SDC", Corner.B) : held(20, "SDC", Corner.A);
            library.add(named(
                    "m" + i, DAY.plusDays(i), "us", "them" + i, start(), guard(0, "CLG", Corner.A), next, end(60)));
        }
        Evidence e = Evidence.of(library, "us", PLAIN, LEXICON);
        List<Transitions.Row> rows = Transitions.of(e);
        assertThat(rows).hasSize(2);
        assertThat(rows).extracting(Transitions.Row::toRole).containsExactlyInAnyOrder(Role.UNDER, Role.HOLDER);
        assertThat(rows.stream().mapToDouble(r -> r.estimate().x()).sum()).isEqualTo(12);
        assertThat(rows.stream().mapToDouble(r -> r.estimate().mean()).sum()).isBetween(0.85, 1.0);
        assertThat(rows).allSatisfy(r -> assertThat(r.trials()).hasSize(12));
        double toSweep = rows.stream()
                .filter(r -> r.toRole() == Role.HOLDER)
                .mapToDouble(r -> r.estimate().raw())
                .sum();
        assertThat(toSweep).isCloseTo(8 / 12.0, within(1e-9));
    }
}
