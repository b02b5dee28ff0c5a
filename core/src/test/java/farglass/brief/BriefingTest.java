package farglass.brief;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.PhaseFigure;
import farglass.matchup.gameplan.PhaseText;
import farglass.plan.Brief;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.plan.ReportEdit;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.simulate.DemoLibrary;
import farglass.stats.TagRef;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class BriefingTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Map<String, String> NAMES =
            Map.of("ansa-kellivar", "Ansa Kellivar", "brisa-tolendt", "Brisa Tolendt");
    private static LibraryIndex index;
    private static List<PinnedClaim> claims;

    @BeforeAll
    static void read() {
        index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
        ClaimWriter writer = new ClaimWriter(Locale.ENGLISH);
        List<Claim> found = Profile.of(index, "brisa-tolendt", Filter.ALL, 1).claims();
        Claim rate = found.stream()
                .filter(c -> c.unit() == Claim.Unit.PER_TEN_MINUTES)
                .findFirst()
                .orElseThrow();
        assertThat(PinnedClaim.of("brisa-tolendt", rate, writer, Filter.ALL).number())
                .as("a rate is no percentage")
                .startsWith(writer.number(rate) + " (")
                .doesNotContain("%");
        claims = found.stream()
                .limit(3)
                .map(c -> PinnedClaim.of("brisa-tolendt", c, writer, Filter.ALL))
                .toList();
    }

    private static Plan plan() {
        Plan p = Plan.empty("p", "Plan", "ansa-kellivar", "brisa-tolendt");
        for (PinnedClaim c : claims) {
            p = p.pin(c);
        }
        return p.open("Collar grip first")
                .follow("f1", "Brisa: guard pull to lasso")
                .follow("f2", "Knee cut")
                .change("f2", f -> f.resting(claims.get(1)))
                .promise("", "no guard pull")
                .remarks("Breathe, Ansa.");
    }

    private static List<String> ids(Plan p) {
        return slides(p).stream().map(Slide::id).toList();
    }

    private static List<Slide> slides(Plan p) {
        return Briefing.of(p, null, null, index, NAMES, "Lantern Bay Open, 2031-05-03");
    }

    private static String claim(int i) {
        return "claim:brisa-tolendt/" + claims.get(i).claim();
    }

    @Test
    void slidesFollowThePlanAndNoClaimIsToldTwice() {
        assertThat(ids(plan()))
                .containsExactly(
                        "title", "fork:f1", "fork:f2", claim(1), "fork:f3", claim(0), claim(2), "conduct", "notes");
        Slide pull = slides(plan()).get(2);
        assertThat(pull.kind()).isEqualTo(Slide.Kind.FORK);
        assertThat(pull.points()).containsExactly("Then we: Knee cut");
        assertThat(slides(plan()).get(7).points()).containsExactly("no guard pull");
    }

    @Test
    void momentsHaveFilmAndAreFew() {
        for (Slide s : slides(plan())) {
            assertThat(s.moments()).hasSizeLessThanOrEqualTo(3);
            for (var ref : s.moments()) {
                MatchRecord r = index.facts().stream()
                        .map(f -> f.record())
                        .filter(x -> x.id().equals(ref.match()))
                        .findFirst()
                        .orElseThrow();
                assertThat(r.films()).isNotEmpty();
            }
        }
        assertThat(slides(plan()).get(2).moments()).as("she has pulled on film").isNotEmpty();
    }

    @Test
    void theUserLeavesOutMovesAndAddsNotes() {
        Plan p = plan();
        List<String> now = ids(p);
        Plan bent =
                p.brief(p.brief().hide("notes", true).move(now, "conduct", -1).note("title", " slowly "));
        List<String> after = ids(bent);
        assertThat(after.indexOf("conduct")).isEqualTo(now.indexOf("conduct") - 1);
        assertThat(after).hasSameElementsAs(now);
        assertThat(slides(bent)).filteredOn(Slide::hidden).extracting(Slide::id).containsExactly("notes");
        assertThat(slides(bent).get(0).notes()).isEqualTo("slowly");
        Brief b = bent.brief();
        assertThat(b.move(after, "title", -1))
                .as("the first goes no further up")
                .isSameAs(b);
        assertThat(b.move(after, "nothing", 1)).isSameAs(b);
        assertThat(b.hide("notes", false).note("title", "").hidden()).isEmpty();
        // a new fork comes in where the plan has it, after what the user has put in order
        assertThat(ids(bent.open("Double leg"))).contains("fork:f4").startsWith(after.get(0));
    }

    @Test
    void namelessNobodyIsNamed() {
        Plan p = plan();
        List<Slide> slides = slides(p.brief(p.brief().nameless(true)));
        for (Slide s : slides) {
            String all = s.text() + " " + s.points();
            assertThat(all).doesNotContain("Ansa", "Brisa", "Tolendt", "Kellivar", "Lantern");
        }
        assertThat(slides.get(0).text()).isEqualTo("The opponent");
        assertThat(slides.get(2).text()).isEqualTo("the opponent: guard pull to lasso");
    }

    @Test
    void aClaimPinnedInOneAttirePlaysFilmOfThatAttireOnly() {
        int all = 0;
        for (String attire : List.of("gi", "no-gi")) {
            Filter filter = Filter.ALL.attire(attire);
            Plan p = Plan.empty("p", "Plan", "ansa-kellivar", "odile-marrowen");
            int filmed = 0;
            for (Claim c : Profile.of(index, "odile-marrowen", filter, 1).claims()) {
                p = p.pin(PinnedClaim.of("odile-marrowen", c, new ClaimWriter(Locale.ENGLISH), filter));
            }
            for (Slide slide : slides(p)) {
                for (var ref : slide.moments()) {
                    filmed++;
                    assertThat(index.facts().stream()
                                    .map(f -> f.record())
                                    .filter(x -> x.id().equals(ref.match()))
                                    .findFirst()
                                    .orElseThrow()
                                    .details()
                                    .attire())
                            .isEqualTo(attire);
                }
            }
            all += filmed;
        }
        assertThat(all).as("moments shown").isPositive();
    }

    @Test
    void theOpponentDangersAndOpeningsComeFirstInTheAnalystsWords() {
        Plan p = plan();
        ScoutingReport report = ScoutingReport.of(Profile.of(index, "brisa-tolendt", Filter.ALL, 1));
        List<Slide> slides = Briefing.of(p, report, null, index, NAMES, "");
        assertThat(slides).extracting(Slide::id).startsWith("title", "report", "game", "dangers", "fork:f1");
        assertThat(slides.get(1).text()).startsWith("Pulls guard");
        assertThat(slides.get(1).points()).hasSizeBetween(2, 6);
        assertThat(slides.get(2).figure()).isNotNull();
        assertThat(slides.get(3).moments()).hasSizeLessThanOrEqualTo(3);
        String danger = report.dangers().get(0).sentence().id();
        Plan own = p.report(p.report().with(new ReportEdit("brisa-tolendt", danger, "Mind the legs", "", false)));
        assertThat(Briefing.of(own, report, null, index, NAMES, "").get(3).text())
                .isEqualTo("Mind the legs");
        Plan without = p.report(p.report().with(new ReportEdit("brisa-tolendt", danger, "", "", true)));
        assertThat(Briefing.of(without, report, null, index, NAMES, "").get(3).text())
                .isNotEqualTo(slides.get(3).text());
        assertThat(slides.get(3).text())
                .isEqualTo(new ReportWriter(Locale.ENGLISH)
                        .text(report.dangers().get(0).sentence()));
    }

    @Test
    void ofSomebodyNeverSeenOnlyThePlanIsTold() {
        Plan p = Plan.empty("p", "Plan", "ansa-kellivar", "nobody").open("Wait");
        ScoutingReport report = ScoutingReport.of(Profile.of(index, "nobody", Filter.ALL, 1));
        assertThat(Briefing.of(p, report, null, index, NAMES, ""))
                .extracting(Slide::id)
                .containsExactly("title", "fork:f1");
    }

    @Test
    void everyDecisionOfThePageHasASlideAndIsToldOnce() {
        List<TagRef> tags = index.of("brisa-tolendt").stream()
                .map(f -> new TagRef(f.record().id(), f.record().tagName(0)))
                .toList();
        GamePage page = new GamePage(
                List.of(
                        part(GamePage.Heading.IDEA, line("Sweep, then pass.", List.of(), List.of())),
                        part(
                                GamePage.Heading.DECISIONS,
                                line("These 2 carry it.", List.of(), List.of()),
                                line("From half guard: sweep.", List.of("Worth 0.3 points."), tags),
                                line("From mount: armbar.", List.of("Worth 0.1 points."), List.of())),
                        part(GamePage.Heading.WEAPONS, line("Triangle", List.of("3 of 5."), tags)),
                        part(GamePage.Heading.CALLS, line("sweep", List.of("From half guard"), List.of()))),
                new PhaseText(new PhaseFigure(1, List.of(), List.of()), Map.of(), Map.of(), Map.of(), ""));
        Plan p = Plan.empty("p", "Plan", "ansa-kellivar", "brisa-tolendt")
                .open("From half guard: sweep")
                .open("Collar drag");
        List<Slide> slides = Briefing.of(p, null, page, index, NAMES, "");
        assertThat(slides)
                .extracting(Slide::id)
                .containsExactly(
                        "title",
                        "plan",
                        "decision:From half guard: sweep.",
                        "decision:From mount: armbar.",
                        "weapons",
                        "calls",
                        "fork:f2");
        assertThat(slides.get(2).points()).containsExactly("Worth 0.3 points.");
        assertThat(slides.get(2).moments()).isNotEmpty().hasSizeLessThanOrEqualTo(3);
        assertThat(slides.get(5).points()).containsExactly("sweep: From half guard");
    }

    private static GamePage.Part part(GamePage.Heading heading, GamePage.Line... lines) {
        return new GamePage.Part(heading, heading.name(), List.of(lines));
    }

    private static GamePage.Line line(String text, List<String> notes, List<TagRef> tags) {
        return new GamePage.Line(text, notes, tags, false);
    }
}
