package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.fit.KnownGame;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.SolverSettings;
import farglass.plan.Approach;
import farglass.plan.Fork;
import farglass.plan.Plan;
import farglass.plan.ProposedForks;
import farglass.tendency.Filter;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class ProposalTest {
    private static Meeting meeting;
    private static Proposal proposal;
    private static final MeetingWriter WRITER = new MeetingWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa");

    private static final KnownGame KNOWN = KnownGame.of(Small.index(), "ansa-kellivar", Filter.ALL);

    @BeforeAll
    static void solve() {
        meeting = Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE);
        proposal = Proposal.of(meeting.solve());
    }

    private static void check(Proposal.Node n, int depth) {
        assertThat(n.value()).isBetween(0.0, 1.0);
        assertThat(n.next().stream().mapToDouble(Proposal.Node::chance).sum()).isLessThanOrEqualTo(1.0001);
        assertThat(depth).isLessThanOrEqualTo(3);
        assertThat(WRITER.way(n)).isNotBlank();
        n.next().forEach(c -> check(c, depth + 1));
    }

    @Test
    void theTreeBeginsStandingAndKnowsWhoPullsGuard() {
        Proposal.Node root = proposal.root();
        assertThat(root.place()).isEqualTo(ModelState.START);
        check(root, 0);
        Proposal.Node likeliest = root.next().get(0);
        assertThat(likeliest.technique()).isEqualTo("guard-pull");
        assertThat(likeliest.ours()).isFalse();
        assertThat(likeliest.place()).isEqualTo(ModelState.of("LAS", 1));
        assertThat(likeliest.basis().tags()).as("seen on film").isNotEmpty();
        assertThat(WRITER.way(likeliest)).isEqualTo("Brisa: guard pull");
        assertThat(WRITER.place(likeliest.place())).isEqualTo("Brisa's lasso guard");
        assertThat(root.value()).isCloseTo(proposal.solved().planned().win(), within(1e-6));
    }

    @Test
    void whatIsSoughtIsWorthMoreThanStandingAndWhatIsAvoidedLess() {
        assertThat(proposal.seek())
                .hasSize(5)
                .allMatch(w -> w.worth() > 0 && w.place().standing() > 0);
        assertThat(proposal.avoid())
                .hasSize(5)
                .allMatch(w -> w.worth() < 0)
                .isSortedAccordingTo((a, b) -> Double.compare(a.worth(), b.worth()));
        assertThat(proposal.avoid().subList(0, 3)).allMatch(w -> w.place().standing() < 0);
        assertThat(proposal.guide()).isNotEmpty().allMatch(g -> g.stays() == null && g.weight() > 0);
        assertThat(proposal.needs()).hasSize(5).isSortedAccordingTo((a, b) -> Double.compare(b.sway(), a.sway()));
        assertThat(proposal.forecasts()).hasSizeGreaterThan(5).allMatch(f -> f.p() >= 0.01 && f.p() <= 0.99);
        assertThat(WRITER.assumptions(proposal))
                .anyMatch(t -> t.contains("matches of Ansa"))
                .anyMatch(t -> t.contains("these are settings"))
                .anyMatch(t -> t.endsWith("kinds of action there is too little film to tell."));
    }

    /** A hundred percent of what was said to change is no news. */
    @Test
    void whoTiresIsToldAndWhoDoesNotIsNot() {
        Model points = meeting.model();
        assertThat(WRITER.tempo(points))
                .startsWith("Neither Ansa nor Brisa is seen to change pace late in a match or when behind. For ");
        Model night = Small.demo("brisa-tolendt", "submission-only", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .model();
        assertThat(WRITER.tempo(night))
                .startsWith("Neither Ansa nor Brisa is seen to change pace late in a match. For ");
        assertThat(WRITER.tempo(Small.paced(points)))
                .matches("In the last third Ansa tries \\d+% as much as in the first, Brisa \\d+%. Behind, Ansa .*"
                        + "kinds of action there is too little film to tell.");
        assertThat(WRITER.tempo(Small.paced(night))).doesNotContain("Behind").doesNotContain(" 100%");
    }

    @Test
    void aPlanTakesTheTreeOverWithFreshIds() {
        ProposedForks proposed = ProposedForks.of(proposal, WRITER, KNOWN);
        Plan plan = Plan.empty("p", "t", "ansa-kellivar", "brisa-tolendt").open("collar drag");
        Plan adopted = plan.adopt(proposed.root());
        assertThat(adopted.openings()).hasSize(2);
        Set<String> ids = new TreeSet<>();
        adopted.openings().forEach(f -> collect(f, ids));
        assertThat(ids).hasSize(1 + proposed.root().size()).contains("f1");
        assertThat(proposed.chances()).hasSize(proposed.root().size() - 1);
        assertThat(proposed.root().text())
                .isEqualTo("standing free: " + WRITER.option(proposal.root().option()));
        List<Fork> all = new ArrayList<>();
        all(proposed.root(), all);
        assertThat(all).as("the plan presses something").anyMatch(f -> f.note().contains("press the "));
        assertThat(all)
                .filteredOn(f -> !f.ours())
                .anyMatch(f -> f.note().contains("Brisa ") && f.note().contains(" against Ansa"));
        assertThat(all)
                .filteredOn(f -> f.ours() && f.note().contains(" against Brisa"))
                .isNotEmpty()
                .allMatch(f -> f.note().matches("(?s).*(they expect it|seen before \\(\\d+\\)|never shown)"));
    }

    private static void all(Fork f, List<Fork> into) {
        into.add(f);
        f.next().forEach(n -> all(n, into));
    }

    private static void collect(Fork f, Set<String> ids) {
        ids.add(f.id());
        f.next().forEach(n -> collect(n, ids));
    }

    @Test
    void anApproachBarsFixesCorrectsAndTakesBack() {
        Exit.Key key = meeting.model().exits(ModelState.START, true).get(0).key();
        Approach a = Approach.USUAL
                .bar("guard-pull", true)
                .fix("STD=", Option.HOLD)
                .correct(new Correction(key, 1.0, null, "seen"))
                .correct(new Correction(key, 2.0, 0.5, "seen again"))
                .emphasis(1)
                .pressing(1.5);
        assertThat(a.wishes().corrections()).hasSize(1).allMatch(c -> c.rate() == 2);
        assertThat(a.settings())
                .extracting(SolverSettings::emphasis, SolverSettings::pressFactor)
                .containsExactly(1.0, 1.5);
        Approach back = a.bar("guard-pull", false).fix("STD=", null).uncorrect(key);
        assertThat(back.wishes()).isEqualTo(Constraints.NONE);
        assertThatThrownBy(() -> new Correction(key, 1.0, 1.2, "x")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Correction(key, 1.0, 0.2, " ")).hasMessageContaining("reason");
        assertThatThrownBy(() -> Approach.USUAL.emphasis(2)).isInstanceOf(IllegalArgumentException.class);
        for (Option o : List.of(Option.NATURAL, Option.HOLD, Option.press("knee-cut"))) {
            assertThat(Option.ofKey(o.key())).contains(o);
        }
        assertThat(Option.ofKey("jump")).isEmpty();
    }

    @Test
    void theDialAndWhatIfsNeedNoNewFit() {
        Exit pull = meeting.model().exits(ModelState.START, true).get(0);
        Constraints surer =
                new Constraints(Set.of(), java.util.Map.of(), List.of(new Correction(pull.key(), 0.0, null, "no")));
        MeetingSolution.Glance without =
                meeting.under(SolverSettings.USUAL.coarse(), surer).glance();
        assertThat(without.natural().win())
                .isNotEqualTo(proposal.solved().natural().win());
        assertThat(meeting.ranges(20, 1).get(pull.key()).rate().lo()).isLessThan(pull.rate());
    }

    @Test
    void everyPatternCanBeFilled() {
        ResourceBundle words = ResourceBundle.getBundle("farglass.matchup.advise.Meeting", Locale.ENGLISH);
        for (String key : words.keySet()) {
            String filled = new MessageFormat(words.getString(key), Locale.ENGLISH)
                    .format(new Object[] {"a", "b", "c", "d", "e", "f"});
            assertThat(filled).as(key).doesNotContain("{").doesNotContain("''");
        }
        for (Exit.Source s : Exit.Source.values()) {
            assertThat(words.containsKey("source." + s)).isTrue();
        }
    }
}
