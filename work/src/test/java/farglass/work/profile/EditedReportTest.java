package farglass.work.profile;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.plan.Assignment;
import farglass.plan.ReportEdit;
import farglass.plan.ReportEdits;
import farglass.profile.Profile;
import farglass.rules.Rulesets;
import farglass.scout.GameFigure;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.work.meeting.MeetingService;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class EditedReportTest {
    private static final String WHO = "brisa-tolendt";
    private static final LibraryIndex INDEX =
            LibraryIndex.of(DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED), Lexicon.builtIn());
    private static final ProfileService PROFILES = new ProfileService(() -> INDEX);
    private static final Profile THEM = Profile.of(INDEX, WHO, Filter.ALL, 1);
    private static final ReportWriter WRITER = new ReportWriter(Locale.ENGLISH);

    private static EditedReport edited(ScoutingReport r, ReportEdits edits) {
        return EditedReport.of(r, edits, WRITER, "Dangers", "Openings");
    }

    @Test
    void withoutEditsItIsTheReport() {
        ScoutingReport r = ScoutingReport.of(THEM);
        EditedReport e = edited(r, ReportEdits.NONE);
        assertThat(e.parts().stream().mapToInt(p -> p.lines().size()).sum())
                .isEqualTo(r.sentences().size());
        assertThat(e.parts()).extracting(EditedReport.Part::heading).contains("How it begins", "Dangers");
        assertThat(e.parts()).allSatisfy(p -> assertThat(p.lines()).isNotEmpty());
    }

    @Test
    void ownWordsOrderAndWhatIsLeftOutAreKept() {
        ScoutingReport r = ScoutingReport.of(THEM);
        List<Sentence> bottom = r.parts().stream()
                .filter(p -> WRITER.heading(p.heading()).equals("From the bottom"))
                .findFirst()
                .orElseThrow()
                .sentences();
        List<String> ids = bottom.stream().map(Sentence::id).toList();
        ReportEdits edits = ReportEdits.NONE
                .with(ReportEdit.none(WHO, ids.get(0)).wording("All lasso.", WRITER.text(bottom.get(0))))
                .with(ReportEdit.none(WHO, ids.get(1)).leftOut(true))
                .move(WHO, ids, ids.get(0), 1);
        EditedReport e = edited(r, edits);
        List<String> lines = e.parts().stream()
                .filter(p -> p.heading().equals("From the bottom"))
                .flatMap(p -> p.lines().stream())
                .map(EditedReport.Line::text)
                .toList();
        assertThat(lines).hasSize(bottom.size() - 1);
        assertThat(lines.get(0)).isEqualTo("All lasso.");
        assertThat(lines).doesNotContain(WRITER.text(bottom.get(1)));
    }

    @Test
    void againstOurAthleteDangersAreWorthPointsOfTheWinChance() {
        MeetingService.Ask ask = new MeetingService.Ask(
                "ansa-kellivar",
                WHO,
                Rulesets.builtIn().orUsual("points-gi", LocalDate.of(2031, 5, 3)),
                "gi",
                LocalDate.of(2031, 5, 3),
                480_000);
        Assignment a = DemoLibrary.assignments().get(0);
        assertThat(MeetingService.Ask.of(a, WHO, Rulesets.builtIn())).contains(ask);
        assertThat(MeetingService.Ask.of(a, "mirel-osk", Rulesets.builtIn())).isEmpty();
        assertThat(MeetingService.Ask.of(null, WHO, Rulesets.builtIn())).isEmpty();
        ScoutingReport r = ProfileService.scouting(THEM, Optional.of(ask));
        assertThat(r.dangers()).isNotEmpty();
        assertThat(r.dangers().get(0).against()).isTrue();
        assertThat(r.dangers().get(0).worth()).isBetween(0.0, 30.0);
        assertThat(r.dangers().stream().filter(d -> d.answer().isPresent()))
                .allSatisfy(
                        d -> assertThat(WRITER.text(d.answer().orElseThrow())).contains("Kellivar"));
        MeetingService.Ask nobody = new MeetingService.Ask("nobody", WHO, ask.rules(), "gi", ask.asOf(), 480_000);
        assertThat(ProfileService.scouting(THEM, Optional.of(nobody)).dangers()).noneMatch(d -> d.against());
    }

    @Test
    void theGameIsThatOfTheFilter() {
        GameFigure all = PROFILES.game(WHO, Filter.ALL);
        GameFigure gi = PROFILES.game(WHO, Filter.ALL.attire("gi"));
        assertThat(all.links().get(0).tries()).isGreaterThan(gi.links().get(0).tries());
    }
}
