package farglass.matchup.gameplan;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Tag;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.OwnPlan;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.GamePage.Heading;
import farglass.matchup.gameplan.GamePage.Line;
import farglass.matchup.gameplan.GamePage.Part;
import farglass.matchup.model.Exit;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.Opening;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class GamePlanTest {
    private static final GamePageWriter WRITER = new GamePageWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa");
    private static MeetingSolution solved;
    private static Proposal proposal;
    private static GamePlan game;
    private static Evidence theirs;

    @BeforeAll
    static void solve() {
        solved = Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
        proposal = Proposal.of(solved);
        game = GamePlan.of(proposal, Small.index());
        Meeting.Question q = solved.meeting().question();
        theirs = Evidence.of(Small.index(), q.them(), q.filter());
    }

    private static Tag tag(TagRef ref) {
        return theirs.match(ref.match()).orElseThrow().record().tags().stream()
                .filter(t -> ref.tag().equals(t.info().id()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyEngagementIsCountedOnce() {
        Beginning b = game.theirs();
        assertThat(b.times(Opening.PULL) + b.times(Opening.TAKEDOWN) + b.times(Opening.OTHER))
                .isEqualTo(b.matches())
                .isGreaterThan(10);
        assertThat(b.first().get(Opening.PULL)).doesNotHaveDuplicates().hasSize(b.times(Opening.PULL));
    }

    @Test
    void theFirstGripIsTheirsAndSoon() {
        Counted grip = game.theirs().grip().orElseThrow();
        assertThat(grip.times()).isBetween(2, grip.of());
        assertThat(grip.tags()).allSatisfy(ref -> {
            assertThat(tag(ref)).isInstanceOfSatisfying(Tag.Grip.class, g -> {
                assertThat(g.grip()).isEqualTo(grip.code());
                assertThat(g.t().ms()).isLessThanOrEqualTo(Beginning.SOON_MS);
            });
        });
    }

    @Test
    void weWantToBeWhereWeHaveFilmAndGetThereByWhatWeDo() {
        assertThat(game.wanted()).isNotEmpty().hasSizeLessThan(4).allSatisfy(w -> {
            assertThat(w.worth()).isPositive();
            assertThat(w.staySeconds()).isBetween(5.0, 600.0);
            assertThat(w.entries()).allMatch(e -> e.ours() && leadsTo(e, w));
            assertThat(w.attacks()).allMatch(e -> e.from().equals(w.place()) && e.ownAction());
        });
        assertThat(game.wanted()).anyMatch(w -> !w.entries().isEmpty());
    }

    private static boolean leadsTo(Exit e, Wanted w) {
        return e.to().keySet().stream().anyMatch(p -> p.paid(false).equals(w.place()));
    }

    @Test
    void aSignComesBeforeTheWeapon() {
        assertThat(game.threats()).hasSameSizeAs(proposal.weapons());
        Threat signed = game.threats().stream()
                .filter(t -> t.sign().isPresent())
                .findFirst()
                .orElseThrow();
        Counted sign = signed.sign().get();
        assertThat(sign.of()).isEqualTo(signed.weapon().tags().size());
        assertThat(sign.times()).isBetween(3, sign.of());
        assertThat(signed.weapon().tags()).containsAll(sign.tags());
    }

    @Test
    void thePageHasItsPartsInOrderAndEveryFigureItsTags() {
        GamePage page = WRITER.page(proposal, game);
        assertThat(page.parts()).extracting(Part::heading).isSorted().contains(Heading.IDEA, Heading.CALLS);
        for (Heading h : List.of(Heading.START, Heading.WANTED, Heading.WEAPONS, Heading.REFUSE)) {
            assertThat(page.part(h).orElseThrow().lines())
                    .as(h.name())
                    .allSatisfy(l -> assertThat(l.tags()).as(l.text()).isNotEmpty());
        }
        // each decision once: under the score where it has a condition
        long said = page.parts().stream()
                .filter(p -> p.heading() == Heading.DECISIONS || p.heading() == Heading.SCORE)
                .flatMap(p -> p.lines().stream())
                .filter(l -> !l.notes().isEmpty())
                .count();
        assertThat(said).isEqualTo(proposal.decisions().valued().size());
    }

    @Test
    void whatTheCoachLaysStandsInPlaceOfWhatWasComputed() {
        MeetingWriter writer = new MeetingWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa");
        OwnPlan own = OwnPlan.of(
                solved,
                writer.reader(solved).read("from half guard half guard sweep; stay calm"),
                proposal.decisions());
        GamePage page = WRITER.page(proposal, game, own, List.of());
        assertThat(page.part(Heading.DECISIONS).orElseThrow().lines())
                .extracting(Line::text)
                .hasSize(3)
                .anyMatch(t -> t.equals("From half guard: half guard sweep."));
        assertThat(page.part(Heading.IDEA)).isEmpty();
        assertThat(page.part(Heading.CALLS).orElseThrow().lines())
                .extracting(Line::text)
                .containsExactly("half guard sweep");
        // without anything that film can value the computed plan stays
        OwnPlan none = OwnPlan.of(solved, writer.reader(solved).read("stay calm"), proposal.decisions());
        assertThat(WRITER.page(proposal, game, none, List.of()).part(Heading.DECISIONS))
                .isEqualTo(WRITER.page(proposal, game).part(Heading.DECISIONS));
    }

    @Test
    void theCornersOwnCallsStandInPlaceOfTheComputedOnes() {
        List<Call> computed = WRITER.calls(proposal, null);
        assertThat(computed)
                .isNotEmpty()
                .hasSizeLessThanOrEqualTo(Call.MOST)
                .allSatisfy(c -> assertThat(c.situation()).isNotBlank());
        List<Line> lines =
                WRITER.page(proposal, game).part(Heading.CALLS).orElseThrow().lines();
        assertThat(lines)
                .extracting(Line::text)
                .isEqualTo(computed.stream().map(Call::words).toList());
        GamePage own = WRITER.page(proposal, game, null, List.of(new Call("", "now"), new Call("on top", "slow")));
        assertThat(own.part(Heading.CALLS).orElseThrow().lines())
                .extracting(Line::text, Line::notes)
                .containsExactly(
                        org.assertj.core.api.Assertions.tuple("now", List.of()),
                        org.assertj.core.api.Assertions.tuple("slow", List.of("On top")));
    }

    @Test
    void theStartDoesNotAdviseWhatIsBetterLeft() {
        Line start = WRITER.page(proposal, game)
                .part(Heading.START)
                .orElseThrow()
                .lines()
                .get(0);
        assertThat(proposal.opening())
                .hasValueSatisfying(c -> assertThat(c.family()).isEqualTo("guard-pull"));
        assertThat(start.text()).startsWith("Ansa does better not to pull guard.");
        assertThat(start.notes()).noneMatch(n -> n.contains("more of this would bring most: guard pull"));
        assertThat(start.tags()).containsAll(proposal.opening().orElseThrow().tags());
    }
}
