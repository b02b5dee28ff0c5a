package farglass.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.check.RecordCheck;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.rules.Rulesets;
import farglass.rules.Score;
import farglass.rules.Scoring;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What the second look adds to made-up matches, and what it leaves as it was. */
class MadeSecondPassTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);

    private static List<Tag> all() {
        return DEMO.stream().flatMap(r -> r.tags().stream()).toList();
    }

    @Test
    void everyKindOfDetailIsThereAndTagsHaveNamesOfTheirOwn() {
        List<Tag> tags = all();
        for (RemarkKind kind : List.of(RemarkKind.ERROR, RemarkKind.PRAISE, RemarkKind.PREFERENCE)) {
            assertThat(tags).as(kind.code()).anyMatch(t -> t instanceof Tag.Remark r && r.kind() == kind);
        }
        assertThat(tags).anyMatch(Tag.Body.class::isInstance);
        assertThat(tags).anyMatch(t -> t instanceof Tag.Action a && !a.checks().isEmpty());
        assertThat(tags).anyMatch(t -> t instanceof Tag.Action a && a.sides().size() == 3);
        for (MatchRecord r : DEMO) {
            Set<String> names = new HashSet<>();
            for (int i = 0; i < r.tags().size(); i++) {
                assertThat(names.add(r.tagName(i)))
                        .as(r.id() + " " + r.tagName(i))
                        .isTrue();
            }
        }
    }

    @Test
    void aFaultIsPunishedWhenTheOtherGotSomethingThroughSoonAfter() {
        int checked = 0;
        for (MatchRecord r : DEMO) {
            List<Tag> tags = r.tags();
            for (int i = 0; i < tags.size(); i++) {
                if (tags.get(i) instanceof Tag.Remark e && e.kind() == RemarkKind.ERROR && e.punished() != null) {
                    checked++;
                    boolean through = false;
                    for (Tag later : tags.subList(i + 1, tags.size())) {
                        through |= later.t().since(e.t()) <= 12_000
                                && later instanceof Tag.Action a
                                && a.by() != e.by()
                                && a.completed();
                    }
                    assertThat(e.punished()).as(r.id() + " " + e.text()).isEqualTo(through);
                    assertThat(e.instead()).isNotNull();
                }
            }
        }
        assertThat(checked).isGreaterThan(20);
    }

    @Test
    void theSameSeedMakesTheSameRecordsAndNothingIsDoubtfulThatWasNot() {
        assertThat(DemoLibrary.matches(LEXICON, DemoLibrary.SEED)).isEqualTo(DEMO);
        Set<String> codes = new HashSet<>();
        for (MatchRecord r : DEMO) {
            var rules = Rulesets.builtIn()
                    .orUsual(r.details().ruleset(), r.details().date());
            Score score = Scoring.of(r, rules, LEXICON);
            RecordCheck.findings(r, score, LEXICON).stream()
                    .filter(f -> f.severity() == Finding.Severity.ERROR)
                    .forEach(f -> codes.add(f.code()));
        }
        assertThat(codes).isEmpty();
    }

    @Test
    void athletesHaveStanceAndWeightAndTheFavouritesAreOfOneGrade() {
        List<Object> leads = new ArrayList<>();
        for (MatchRecord r : DEMO) {
            for (Corner c : Corner.values()) {
                var extra = r.athlete(c).extra();
                leads.add(extra.get("stance"));
                assertThat(((Number) extra.get("weightKg")).doubleValue()).isBetween(54.0, 58.0);
                assertThat(extra.get("grade")).isIn("black", "brown");
            }
        }
        assertThat(leads).contains("left", "right").doesNotContainNull();
    }
}
