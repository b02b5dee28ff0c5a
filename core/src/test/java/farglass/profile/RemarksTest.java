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

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Faults, praise, preferences and details, all counted by hand. */
class RemarksTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);

    private static Tag remark(double t, RemarkKind kind, String text, Object instead, Boolean punished) {
        return new Tag.Remark(s(t), kind, Corner.A, "seen", text, instead, punished, Map.of(), TagInfo.NONE);
    }

    /**
     * In every match a cut that fails with the elbow open, one that works with the hips turned, a fault, and now and
     * then praise.
     */
    private static MatchRecord match(int i) {
        List<Tag> tags = new ArrayList<>(List.of(
                start(),
                at(0, "STD"),
                does(10, Corner.B, "guard-pull", "CLG"),
                guard(10, "CLG", Corner.B),
                tries(30, Corner.A, "toreando")
                        .result(Outcome.STUFFED, 1, null, null)
                        .checked("knees-pinned", false),
                remark(
                        31,
                        RemarkKind.ERROR,
                        i == 0 ? "Elbow open" : "elbow open",
                        Map.of("technique", "knee-cut"),
                        i < 2 ? Boolean.TRUE : i < 4 ? Boolean.FALSE : null),
                new Tag.Body(s(49), Corner.B, "hips-turned", null, null, TagInfo.NONE),
                tries(50, Corner.A, "knee-cut")
                        .result(Outcome.COMPLETED, 4, "SDC", null)
                        .checked("knees-pinned", true),
                held(51, "SDC", Corner.A),
                end(300)));
        if (i == 0) {
            tags.add(remark(52, RemarkKind.PRAISE, "low hips", null, null));
            tags.add(new Tag.Remark(
                    s(60),
                    RemarkKind.PREFERENCE,
                    Corner.A,
                    "told",
                    null,
                    null,
                    null,
                    Map.of("choice", "toreando", "over", "knee cut", "reason", "speed"),
                    TagInfo.NONE));
        }
        return named("m" + i, LocalDate.of(2030, 1, 1).plusDays(i), "us", "x" + i, tags.toArray(new Tag[0]));
    }

    private static List<MatchRecord> library() {
        List<MatchRecord> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            all.add(match(i));
        }
        return all;
    }

    private static Claim claim(Question q, String id) {
        return Profile.of(library(), "us", PLAIN, LEXICON, 1).page(q).claims().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new AssertionError(id));
    }

    @Test
    void faultsAreCountedWithTheirPunishment() {
        assertThat(claim(Question.ERRORS, "errors.rate").estimate().x()).isEqualTo(6);
        Claim punished = claim(Question.ERRORS, "errors.punished");
        assertThat(punished.estimate().x()).isEqualTo(2);
        assertThat(punished.estimate().n()).as("untold ones are not counted").isEqualTo(4);
        assertThat(claim(Question.ERRORS, "error.elbow open").estimate().x())
                .as("capitals do not matter")
                .isEqualTo(6);
    }

    @Test
    void theReportLaysEveryFaultBesideWhereItWasDoneRight() {
        LibraryIndex index = LibraryIndex.of(library(), LEXICON);
        Report whole = Report.of(index, "us", PLAIN);
        Report.Fault f = whole.faults().get(0);
        assertThat(f.trials()).hasSize(6);
        assertThat(f.punished()).isEqualTo(2);
        assertThat(f.unpunished()).isEqualTo(2);
        assertThat(f.untold()).isEqualTo(2);
        assertThat(f.instead()).isEqualTo("knee-cut");
        assertThat(f.example()).as("every film shows the fault too").isEmpty();
        Report one = Report.of(index, "us", PLAIN.matches(Set.of("m5")));
        Report.Example e = one.faults().get(0).example().orElseThrow();
        assertThat(e.own()).isTrue();
        assertThat(e.trial().tag().match()).as("the latest on another film").isEqualTo("m4");
        assertThat(one.matches()).isEqualTo(1);
        assertThat(whole.praise()).singleElement().satisfies(p -> {
            assertThat(p.subject()).isEqualTo("low hips");
            assertThat(p.trials()).hasSize(1);
        });
    }

    @Test
    void aStatedPreferenceIsHeldAgainstUse() {
        Claim says = Profile.of(library(), "us", PLAIN, LEXICON, 1)
                .page(Question.SAYS)
                .claims()
                .get(0);
        assertThat(says.estimate().x()).as("toreando").isEqualTo(6);
        assertThat(says.estimate().n()).as("toreando or knee cut").isEqualTo(12);
        assertThat(says.args()).contains("toreando", "knee cut", "speed");
    }

    @Test
    void aBodyFactAndACheckpointSplitTheSuccessOfATechnique() {
        List<MatchRecord> cuts = library().stream()
                .map(r -> r.withTags(r.tags().stream()
                        .map(t -> t instanceof Tag.Action a && a.technique().equals("toreando")
                                ? (Tag) a.builder().technique("knee-cut").build()
                                : t)
                        .toList()))
                .toList();
        Claim fact = matters(cuts).findFirst().orElseThrow();
        assertThat(fact.estimate().n()).isEqualTo(12);
        // 6 of 6 with, 0 of 6 without
        assertThat(fact.estimate().mean()).isGreaterThan(0.7);
        assertThat(fact.estimate().lo()).isPositive();
        assertThat(matters(library()))
                .as("there it goes with one technique, and its lack with the other")
                .isEmpty();
    }

    private static Stream<Claim> matters(List<MatchRecord> records) {
        return Profile.of(records, "us", PLAIN, LEXICON, 1).page(Question.MATTERS).claims().stream()
                .filter(c -> c.id().equals("matters.fact.other.hips-turned.pass"));
    }

    @Test
    void aLessonStandsInTheProfilesOfBoth() {
        MatchRecord older = named(
                "old",
                LocalDate.of(2030, 1, 1),
                "us",
                "them",
                start(),
                at(0, "STD"),
                remark(299, RemarkKind.NOTE, "  Take the collar first ", null, null),
                end(300));
        MatchRecord newer = named(
                "new",
                LocalDate.of(2031, 1, 1),
                "us",
                "them",
                start(),
                at(0, "STD"),
                remark(10, RemarkKind.NOTE, "Breathe", null, null),
                remark(20, RemarkKind.NOTE, " ", null, null),
                end(300));
        for (String who : List.of("us", "them")) {
            Profile p = Profile.of(List.of(older, newer), who, PLAIN, LEXICON, 1);
            Section notes = p.page(Question.ERRORS).sections().stream()
                    .filter(x -> x.title().equals("errors.notes"))
                    .findFirst()
                    .orElseThrow();
            assertThat(((Figure.Notes) notes.figure()).notes())
                    .as(who)
                    .extracting(Figure.Notes.Note::text)
                    .containsExactly("Breathe", "Take the collar first");
        }
        Profile silent = Profile.of(List.of(match(3)), "us", PLAIN, LEXICON, 1);
        assertThat(silent.page(Question.ERRORS).sections())
                .filteredOn(x -> x.title().equals("errors.notes"))
                .allMatch(Section::isEmpty);
    }
}
