package farglass.profile;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Role;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.tendency.Moment;
import farglass.tendency.Opponents;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * However little a filter leaves: words in place of what is not there, no number that is none, no percentage from
 * nothing.
 */
class NoFilterSaysNonsenseTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);
    private static final ClaimWriter WRITER = new ClaimWriter(Locale.ENGLISH);

    private static List<Filter> filters() {
        List<Filter> all = new ArrayList<>(List.of(
                Filter.ALL,
                Filter.ALL.attire("gi"),
                Filter.ALL.attire("no-gi").ruleset("points-gi"),
                Filter.ALL.ruleset("no-such-rules"),
                Filter.ALL.dates(LocalDate.of(2040, 1, 1), null),
                Filter.ALL.dates(null, LocalDate.of(2028, 7, 1)),
                Filter.ALL.halfLife(null),
                Filter.ALL.halfLife(0.01).asOf(LocalDate.of(2060, 1, 1)),
                Filter.ALL.opponents(Opponents.only("juno-fastrel")),
                Filter.ALL.opponents(new Opponents(Set.of(), "left", "brown", 90.0, null)),
                Filter.ALL.matches(Set.of(DEMO.get(0).id()))));
        for (Moment.Standing s : Moment.Standing.values()) {
            for (Moment.Part p : Moment.Part.values()) {
                all.add(Filter.ALL.moment(new Moment(Role.GUARD, s, p)));
            }
        }
        for (Role role : List.of(Role.HOLDER, Role.UNDER, Role.NEUTRAL)) {
            all.add(Filter.ALL.attire("no-gi").moment(new Moment(role, Moment.Standing.BEHIND, null)));
        }
        return all;
    }

    @Test
    void everyFilterGivesNumbersOrWords() {
        LibraryIndex index = LibraryIndex.of(DEMO, LEXICON);
        for (Filter f : filters()) {
            for (String who : List.of("brisa-tolendt", "nobody")) {
                Profile p = Profile.of(index, who, f, 1);
                for (Question q : Question.values()) {
                    assertThat(p.page(q).sections()).as(q + " " + f).isNotEmpty();
                    p.page(q).sections().forEach(s -> section(s, q + " " + who + " " + f));
                }
                if (p.evidence().matches().isEmpty()) {
                    assertThat(p.claims()).as("claims from nothing, " + f).isEmpty();
                }
            }
        }
    }

    private static void section(Section s, String about) {
        String words = WRITER.title(s);
        if (s.isEmpty()) {
            assertThat(WRITER.empty(s)).as(about).isNotBlank();
        }
        if (s.figure() instanceof Figure.Curves c) {
            assertThat(c.curves()).as(about).isNotEmpty();
            c.curves()
                    .forEach(curve -> curve.points()
                            .forEach(point -> assertThat(point.lo() + point.hi())
                                    .as(about)
                                    .isFinite()));
        } else if (s.figure() instanceof Figure.Trees t) {
            assertThat(t.roots()).as(about).isNotEmpty();
        } else if (s.figure() instanceof Figure.Years y) {
            assertThat(y.rows()).as(about).isNotEmpty();
        }
        for (Claim c : s.claims()) {
            words += " " + WRITER.sentence(c) + WRITER.number(c) + WRITER.interval(c) + WRITER.counts(c)
                    + WRITER.notes(c);
            assertThat(c.estimate().lo())
                    .as(about + c.id())
                    .isLessThanOrEqualTo(c.estimate().hi());
            assertThat(c.estimate().n() > 0 || c.topic() == Claim.Topic.NOT_SEEN)
                    .as(about + c.id())
                    .isTrue();
        }
        assertThat(words)
                .as(about)
                .doesNotContain("NaN")
                .doesNotContain("Infinity")
                .doesNotContain("\u221e");
    }
}
