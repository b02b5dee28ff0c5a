package farglass.tendency;

import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.stop;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReactionsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);

    private static List<String> answers(Tag... tags) {
        MatchRecord r = named("m", LocalDate.of(2030, 1, 1), "us", "them", tags);
        return Reaction.of(MatchFacts.of(r, LEXICON), Corner.A).stream()
                .map(x -> x.trigger().action().technique() + " " + x.answer() + " " + x.delayMs())
                .toList();
    }

    @Test
    void theFirstOwnActionWithinSixSecondsAnswers() {
        assertThat(answers(
                        start(),
                        guard(0, "LAS", Corner.A),
                        tries(10, Corner.B, "knee-cut"),
                        tries(13, Corner.A, "lasso-sweep"),
                        tries(40, Corner.B, "knee-cut"),
                        tries(47, Corner.A, "lasso-sweep"),
                        end(90)))
                .containsExactly("knee-cut lasso-sweep 3000", "knee-cut none -1");
    }

    @Test
    void aTaggedAnswerComesFirstAndAHiddenOneIsLeftOut() {
        Tag.Action framed = tries(10, Corner.B, "knee-cut").answered("frame");
        Tag.Action hidden = tries(30, Corner.B, "toreando").answered("not-visible");
        Tag.Action none = tries(50, Corner.B, "x-pass").answered("none");
        assertThat(answers(
                        start(),
                        guard(0, "LAS", Corner.A),
                        framed,
                        tries(12, Corner.A, "lasso-sweep"),
                        hidden,
                        tries(31, Corner.A, "lasso-sweep"),
                        none,
                        tries(51, Corner.A, "lasso-sweep"),
                        end(90)))
                .containsExactly("knee-cut =frame -1", "x-pass none -1");
    }

    @Test
    void theLatestTriggerOwnsTheAnswer() {
        assertThat(answers(
                        start(),
                        guard(0, "LAS", Corner.A),
                        tries(10, Corner.B, "knee-cut"),
                        tries(12, Corner.B, "toreando"),
                        tries(14, Corner.A, "lasso-sweep"),
                        end(90)))
                .containsExactly("knee-cut none -1", "toreando lasso-sweep 2000");
    }

    @Test
    void gripsDoNotAnswerAndACutWindowIsDropped() {
        Tag.Grip grip = new Tag.Grip(s(11), Corner.A, "wrist", Side.LEFT, null, null, null, TagInfo.NONE);
        assertThat(answers(
                        start(),
                        guard(0, "LAS", Corner.A),
                        tries(10, Corner.B, "knee-cut"),
                        grip,
                        tries(15, Corner.A, "lasso-sweep"),
                        tries(30, Corner.B, "knee-cut"),
                        stop(33),
                        end(90)))
                .containsExactly("knee-cut lasso-sweep 5000");
        assertThat(answers(start(), guard(0, "LAS", Corner.A), tries(10, Corner.B, "knee-cut"), end(14)))
                .as("the end came before the six seconds were over")
                .isEmpty();
    }

    /** One match in which {@code n} knee cuts are answered by {@code technique}. */
    private static MatchRecord answered(String id, String us, int n, String technique, boolean passes) {
        List<Tag> tags = new ArrayList<>(List.of(start(), guard(0, "LAS", Corner.A)));
        for (int i = 0; i < n; i++) {
            Tag.Action cut = tries(10 + 20 * i, Corner.B, "knee-cut");
            tags.add(passes ? cut.result(Outcome.COMPLETED, 4, null, Records.s(13 + 20 * i)) : cut);
            tags.add(tries(12 + 20 * i, Corner.A, technique));
        }
        tags.add(end(400));
        return named(id, LocalDate.of(2030, 1, 1), us, "x" + id, tags.toArray(new Tag[0]));
    }

    @Test
    void sharesDelayAndResultBelongToTheTrigger() {
        List<MatchRecord> library = List.of(
                answered("1", "us", 3, "lasso-sweep", false),
                answered("2", "us", 3, "lasso-sweep", false),
                answered("3", "us", 2, "triangle", true));
        Evidence e = Evidence.of(library, "us", PLAIN, LEXICON);
        Reactions.Row row = Reactions.of(e, true, 5, 1).get(0);
        assertThat(row.trigger()).isEqualTo("knee-cut");
        assertThat(row.count()).isEqualTo(8);
        assertThat(row.medianDelayMs()).isEqualTo(2000);
        assertThat(row.answers()).extracting(Reactions.Answer::answer).containsExactly("lasso-sweep", "triangle");
        assertThat(row.answers().get(0).share().x()).isEqualTo(6);
        assertThat(row.answers().get(0).share().n()).isEqualTo(8);
        assertThat(row.answers().get(1).conceded().x()).isEqualTo(2);
        assertThat(row.answers().get(0).conceded().x()).isZero();
        assertThat(Reactions.of(e, false, 5, 1).get(0).trigger())
                .as("what they answer to own attacks: the next knee cut comes too late")
                .isEqualTo("lasso-sweep");
        assertThat(Reactions.of(e, true, 0, 1)).isEmpty();
    }

    @Test
    void anAnswerIsMoreThanChanceWhereItFollowsThisTriggerAndNotTheOthers() {
        List<MatchRecord> library = new ArrayList<>();
        for (int m = 0; m < 8; m++) {
            List<Tag> tags = new ArrayList<>(List.of(start(), guard(0, "LAS", Corner.A)));
            for (int i = 0; i < 3; i++) {
                tags.add(tries(10 + 40 * i, Corner.B, "knee-cut"));
                tags.add(tries(12 + 40 * i, Corner.A, "lasso-sweep"));
                tags.add(tries(30 + 40 * i, Corner.B, "toreando"));
                tags.add(tries(32 + 40 * i, Corner.A, i == 0 ? "lasso-sweep" : "triangle"));
            }
            tags.add(end(400));
            library.add(named("m" + m, LocalDate.of(2030, 1, 1 + m), "us", "x", tags.toArray(new Tag[0])));
        }
        List<String> sure = new ArrayList<>();
        List<String> all = new ArrayList<>();
        for (Reactions.Row row : Reactions.of(Evidence.of(library, "us", PLAIN, LEXICON), true, 5, 1)) {
            for (Reactions.Answer a : row.answers()) {
                all.add(row.trigger() + " " + a.answer());
                if (a.moreThanChance()) {
                    sure.add(row.trigger() + " " + a.answer());
                }
            }
        }
        assertThat(all).contains("toreando lasso-sweep");
        assertThat(sure).containsExactlyInAnyOrder("knee-cut lasso-sweep", "toreando triangle");
    }

    @Test
    void thePriorOfAnAnswerIsTheOthersRow() {
        List<MatchRecord> library = new ArrayList<>();
        library.add(answered("own", "us", 4, "triangle", false));
        for (int i = 0; i < 5; i++) {
            library.add(answered("o" + i, "other" + i, 8, "lasso-sweep", false));
        }
        Filter on = new Filter(null, null, null, null, null, null, true);
        Reactions.Row row = Reactions.of(Evidence.of(library, "us", on, LEXICON), true, 5, 1)
                .get(0);
        assertThat(row.answers()).hasSize(1);
        assertThat(row.answers().get(0).share().baseline())
                .as("none of the others answers so")
                .isLessThan(0.05);
        assertThat(row.answers().get(0).share().mean()).isLessThan(0.75);
    }

    @Test
    void anAttackThatOpensAnotherIsADilemma() {
        List<MatchRecord> library = new ArrayList<>();
        for (int m = 0; m < 6; m++) {
            List<Tag> tags = new ArrayList<>(List.of(start(), guard(0, "LAS", Corner.A)));
            for (int i = 0; i < 4; i++) {
                int t = 10 + 80 * i;
                tags.add(tries(t, Corner.A, "lasso-sweep"));
                tags.add(Tag.Action.of(s(t + 4), Corner.A, "triangle").result(Outcome.COMPLETED, 4, null, null));
                tags.add(tries(t + 40, Corner.A, "triangle"));
            }
            tags.add(held(395, "SDC", Corner.B));
            tags.add(end(400));
            library.add(named("m" + m, LocalDate.of(2030, 1, 1 + m), "us", "x", tags.toArray(new Tag[0])));
        }
        Evidence e = Evidence.of(library, "us", PLAIN, LEXICON);
        List<Dilemmas.Row> rows = Dilemmas.of(
                e, (y, trials) -> farglass.stats.Proportion.of(trials, farglass.stats.BetaPrior.jeffreys(), 0, 1));
        assertThat(rows).hasSize(1);
        Dilemmas.Row row = rows.get(0);
        assertThat(row.x()).isEqualTo("lasso-sweep");
        assertThat(row.y()).isEqualTo("triangle");
        assertThat(row.after().x()).isEqualTo(24).isEqualTo(row.after().n());
        assertThat(row.otherwise().x()).isZero();
        assertThat(row.odds().log()).isCloseTo(Math.log(24.5 * 24.5 / 0.25), within(1e-9));
        assertThat(row.q()).isLessThan(0.01);
    }
}
