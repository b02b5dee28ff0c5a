package farglass.phrase;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Records;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class LikelyNextTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 1, 1);

    /**
     * A match in which A plays lasso guard and each of the given techniques is tried once, by A where it is a guard's.
     */
    private static MatchRecord match(String id, String a, String b, String... techniques) {
        List<Tag> tags = new ArrayList<>(List.of(start(), at(0, "STD"), guard(1, "LAS", Corner.A)));
        double t = 3;
        for (String technique : techniques) {
            boolean pass = LEXICON.familyOf(technique).equals("pass");
            tags.add(tries(t, pass ? Corner.B : Corner.A, technique));
            t += 2;
        }
        tags.add(end(t + 5));
        return Records.named(id, DAY, a, b, tags.toArray(Tag[]::new));
    }

    private static List<LikelyNext.Suggestion> after(LikelyNext model, MatchRecord r, int limit) {
        Span here = PositionLine.of(r, LEXICON).current(MatchTime.ofMs(2000)).orElseThrow();
        return model.after(here, null, r, limit);
    }

    @Test
    void whatIsDoneOftenFromHereComesFirst() {
        LikelyNext model = LikelyNext.of(
                List.of(
                        match("1", "x", "y", "lasso-sweep", "lasso-sweep", "toreando"),
                        match("2", "v", "w", "lasso-sweep", "omoplata", "toreando")),
                LEXICON);
        List<LikelyNext.Suggestion> next = after(model, match("3", "new", "other"), 5);
        assertThat(next.get(0).technique()).isEqualTo("lasso-sweep");
        assertThat(next.get(0).by()).isEqualTo(Corner.A);
        assertThat(next.get(1).technique()).isEqualTo("toreando");
        assertThat(next.get(1).by()).isEqualTo(Corner.B);
        assertThat(next.get(0).seen()).isEqualTo(3);
    }

    @Test
    void anAthletesOwnTasteWeighsMoreThanTheLibrarys() {
        List<MatchRecord> library = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            library.add(match("o" + i, "x" + i, "y", "lasso-sweep", "lasso-sweep", "omoplata"));
            library.add(match("m" + i, "mine", "y", "omoplata", "omoplata"));
        }
        LikelyNext model = LikelyNext.of(library, LEXICON);
        assertThat(after(model, match("n", "mine", "y"), 1).get(0).technique()).isEqualTo("omoplata");
        assertThat(after(model, match("n", "x1", "y"), 1).get(0).technique()).isEqualTo("lasso-sweep");
    }

    @Test
    void whatWasTriedLastIsRemembered() {
        List<MatchRecord> library = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            library.add(match("o" + i, "x", "y", "omoplata", "triangle", "lasso-sweep", "lasso-sweep", "lasso-sweep"));
        }
        LikelyNext model = LikelyNext.of(library, LEXICON);
        MatchRecord now = match("n", "x", "y", "omoplata");
        Span here = PositionLine.of(now, LEXICON).current(MatchTime.ofMs(4000)).orElseThrow();
        assertThat(model.after(here, null, now, 1).get(0).technique()).isEqualTo("lasso-sweep");
        Tag.Action before = LikelyNext.before(now, MatchTime.ofMs(4000), LEXICON);
        assertThat(before.technique()).isEqualTo("omoplata");
        assertThat(model.after(here, before, now, 1).get(0).technique()).isEqualTo("triangle");
        assertThat(LikelyNext.before(now, MatchTime.ofMs(2000), LEXICON)).isNull();
    }

    @Test
    void chancesAddUpToOneAndNobodyDoesWhatHisPlaceDoesNotAllow() {
        LikelyNext model = LikelyNext.of(DemoLibrary.matches(LEXICON, 2), LEXICON);
        List<LikelyNext.Suggestion> all = after(model, match("n", "brisa-tolendt", "y"), 500);
        assertThat(all.stream().mapToDouble(LikelyNext.Suggestion::chance).sum())
                .isCloseTo(1, within(1e-9));
        Set<String> passes = all.stream()
                .filter(s -> LEXICON.familyOf(s.technique()).equals("pass"))
                .map(s -> s.by().name())
                .collect(Collectors.toSet());
        assertThat(passes).containsExactly("B");
        assertThat(all).noneMatch(s -> LEXICON.familyOf(s.technique()).equals("grip"));
    }

    @Test
    void withoutAnyFilmWhatIsUsuallyTriedThereComesFirst() {
        LikelyNext model = LikelyNext.of(List.of(), LEXICON);
        MatchRecord half = Records.of(Records.start(), Records.guard(1, "HFG", Corner.A), Records.end(9));
        Span here = PositionLine.of(half, LEXICON).current(MatchTime.ofMs(2000)).orElseThrow();
        assertThat(model.after(here, null, half, 5))
                .extracting(s -> s.by() + " " + s.technique())
                .contains("B knee-cut", "A half-guard-sweep")
                .noneMatch(s -> s.contains("americana"));
        List<MatchRecord> all = DemoLibrary.matches(LEXICON, 7);
        int asked = 0;
        int right = 0;
        for (MatchRecord r : all) {
            PositionLine line = PositionLine.of(r, LEXICON);
            for (int i = 0; i < r.tags().size(); i++) {
                if (r.tags().get(i) instanceof Tag.Action a
                        && !LEXICON.familyOf(a.technique()).equals("grip")) {
                    int tag = i;
                    Span place = line.spans().stream()
                            .filter(s -> s.from().compareTo(a.t()) <= 0 && s.tag() < tag)
                            .reduce((x, y) -> y)
                            .orElseThrow();
                    asked++;
                    right += model.after(place, null, r, 5).stream()
                                    .anyMatch(s ->
                                            s.by() == a.by() && s.technique().equals(a.technique()))
                            ? 1
                            : 0;
                }
            }
        }
        assertThat((double) right / asked).as("%d of %d", right, asked).isGreaterThan(0.55);
    }

    @Test
    void withoutAnyFilmTheLexiconsGraphIsOffered() {
        LikelyNext model = LikelyNext.of(List.of(), LEXICON);
        List<LikelyNext.Suggestion> next = after(model, match("n", "a", "b"), 5);
        assertThat(next).hasSize(5).allMatch(s -> s.seen() == 0);
        for (LikelyNext.Suggestion s : next) {
            assertThat(LEXICON.technique(s.technique()).orElseThrow().from()).contains("LAS");
        }
        assertThat(model.after(null, null, match("n", "a", "b"), 5)).isEmpty();
    }
}
