package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.plan.PlanStation;
import farglass.match.MatchRecord;
import farglass.plan.Approach;
import farglass.plan.Assignment;
import farglass.store.Library;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The match-up is worked out from the records, and what the user decides there changes the plan. */
class MatchupTest extends DeskDriver {
    /** The fit, the solution and two passes, on a slow machine. */
    private static final long LONG = 120;

    /** Submission only, where a solution takes a moment. */
    @Override
    void fill(Library library) throws Exception {
        Demo.fill(library);
        for (Assignment a : library.assignments()) {
            if (a.ruleset().equals("submission-only")) {
                library.save(new Assignment(
                        a.id(), a.us(), List.of("brisa-tolendt", "nobody"), a.event(), a.date(), a.ruleset(), null, 8));
            }
        }
    }

    private void openNight() throws Exception {
        onFx(() -> {
            desk.assignment()
                    .set(desk.assignments().stream()
                            .filter(a -> a.ruleset().equals("submission-only"))
                            .findFirst()
                            .orElseThrow());
            return null;
        });
    }

    private String text(String selector) {
        return ((Labeled) find(selector)).getText();
    }

    private List<Button> button(String within, String begins) {
        return find(within).lookupAll(".button").stream()
                .map(Button.class::cast)
                .filter(b -> b.getText() != null && b.getText().startsWith(begins))
                .toList();
    }

    private void type(String field, String words) throws Exception {
        onFx(() -> {
            ((TextField) find(field)).setText(words);
            return null;
        });
    }

    private Approach approach() {
        return desk.plan().get().approach();
    }

    private String wins() {
        return texts("#plan-change-0").stream()
                .filter(t -> t.contains("as often we win"))
                .findFirst()
                .orElse("");
    }

    private String natural() {
        return ((Labeled) find("#win-natural")).getText();
    }

    @Test
    void bothGamesAreLaidOverOneAnotherAndTheUserDecides() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT5);
        await("exchanges are there", LONG, () -> says("#station-matchup", "Brisa's lasso guard"));
        assertThat(natural()).matches("\\d+%");
        assertThat(says("#exchange-detail", "a minute ("))
                .as("rates stand with their interval")
                .isTrue();
        await("intervals are there", LONG, () -> says("#headline", "% to "));
        fire("#exchange-detail", "Bar");
        await("a technique is barred", () -> approach().wishes().barred().size() == 1);
        await("and marked", LONG, () -> says("#exchange-detail", "(barred)"));
        fire("#exchange-detail", "Correct");
        onFx(() -> {
            ((TextField) find("#correct-rate")).setText("often");
            return null;
        });
        fire("#exchange-detail", "Set");
        assertThat(approach().wishes().corrections()).as("a word is no number").isEmpty();
        onFx(() -> {
            ((TextField) find("#correct-rate")).setText("6");
            ((TextField) find("#correct-chance")).setText("80");
            ((TextField) find("#correct-reason")).setText("seen in training");
            return null;
        });
        String before = natural();
        fire("#exchange-detail", "Set");
        await(
                "the win chance follows",
                LONG,
                () -> !natural().equals(before) && !natural().isEmpty());
        page("#matchup-style", "#station-matchup");
        await("they have met", LONG, () -> says("#station-matchup", "Brisa Tolendt ("));
    }

    @Test
    void thePlanProposesAndIsBentAndUndone() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        page("#plan-page-decisions", "#plan-decisions");
        await("the game plan stands there", LONG, () -> says("#plan-decisions", "points of our chance to win. Ansa"));
        await("their weapons too", LONG, () -> says("#plan-answers", "Beyond what others do it costs us"));
        page("#plan-page-proposed", "#station-plan");
        await("a tree is proposed", LONG, () -> scene.lookup("#proposed-forks") != null);
        assertThat(find("#plan-phases").lookupAll(".fork")).hasSizeBetween(6, 12);
        assertThat(texts("#plan-phases")).contains("Ansa wins", "Brisa wins").noneMatch(t -> t.contains("\u2026"));
        fire("#phase-1-0");
        await(
                "what lies behind a box",
                () -> ((javafx.scene.control.Label) find("#proposed-from"))
                        .getText()
                        .contains(", after "));
        fire("#station-plan", "Take this tree over");
        await("it is ours now", () -> desk.plan().get().openings().size() == 1);
        onFx(() -> {
            ((PlanStation) shell.station(5)).papers().writeCard(folder.resolve("card.pdf"));
            return null;
        });
        await("a card for the corner", () -> Files.exists(folder.resolve("card.pdf")));
        page("#plan-page-grid", "#grid-cells");
        assertThat(find("#grid-cells").lookupAll(".grid-cell")).hasSizeGreaterThanOrEqualTo(8);
        page("#plan-page-rests", "#plan-rests");
        fire("#plan-rests", "Freeze these");
        await("forecasts are kept", () -> approach().forecasts().size() > 3);
        page("#plan-page-guide", "#plan-guide");
        await("advice with its shares", LONG, () -> says("#plan-guide", "better than the natural mix in"));
        fire("#plan-guide", "Fix it");
        await("a choice is fixed", () -> approach().wishes().fixed().size() == 1);
        Slider dial = find("#dial-emphasis");
        onFx(() -> {
            dial.setValue(1);
            return null;
        });
        await("the dial is kept", () -> approach().emphasis() == 1);
        fire("#station-plan", "Undo");
        await("and taken back", () -> approach().emphasis() == 0.5 && dial.getValue() == 0.5);
        restart();
        openNight();
        assertThat(approach().wishes().fixed()).as("it outlives the window").hasSize(1);
    }

    private List<TextField> ownSentences() {
        return find("#own-plan").lookupAll(".own-sentence").stream()
                .map(TextField.class::cast)
                .toList();
    }

    @Test
    void aCoachsSentencesAreValuedChangedAndTakenOut() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        page("#plan-page-decisions", "#own-plan");
        type("#own-plan-line", "in their half guard back take, never knee cut; stay calm");
        fire("#station-plan", "Add");
        await("it is a fork", () -> desk.plan().get().openings().size() == 1);
        await("it is valued", LONG, () -> says("#own-plan", "With this plan we win"));
        assertThat(texts("#own-plan"))
                .anyMatch(t -> t.startsWith("In Brisa's half guard: back take.") && t.contains("points of our chance"))
                .anyMatch(t -> t.startsWith("Never: knee cut, in Brisa's half guard.") && t.contains("points of"))
                .anyMatch(t -> t.contains("stay calm") && t.contains("no number"))
                .anyMatch(t -> t.startsWith("The computed plan also has:"));
        onFx(() -> {
            TextField words = ownSentences().get(0);
            words.setText("half guard sweep");
            words.getOnAction().handle(null);
            return null;
        });
        await("other words, other number", LONG, () -> says("#own-plan", "Half guard sweep, wherever it comes up."));
        await("intervals in the same draws", LONG, () -> says("#own-plan", "a difference of"));
        fire("#own-plan-take");
        int all = onFx(() -> desk.plan().get().openings().size());
        assertThat(all).as("the decisions are ours").isGreaterThan(1);
        await("each is read", LONG, () -> ownSentences().size() == all);
        fire("#own-plan", "Take out");
        await("one is out", () -> desk.plan().get().openings().size() == all - 1);
        fire("#station-plan", "Undo");
        await("and back", () -> desk.plan().get().openings().size() == all);
    }

    @Test
    void theCornersCallsAreChangedAndTakenBack() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        page("#plan-page-decisions", "#plan-calls");
        await("computed calls", LONG, () -> scene.lookup("#call-0") != null);
        String computed = ((TextField) find("#call-0")).getText();
        String when = ((TextField) find("#call-when-0")).getText();
        assertThat(when).isNotBlank();
        type("#call-0", "Sweep now!");
        onFx(() -> {
            ((TextField) find("#call-0")).getOnAction().handle(null);
            return null;
        });
        await("it is the corner's own", () -> !desk.plan().get().calls().isEmpty());
        assertThat(desk.plan().get().calls().get(0).words()).isEqualTo("Sweep now!");
        assertThat(desk.plan().get().calls().get(0).situation()).isEqualTo(when);
        Path json = folder.resolve("own.plan.json");
        onFx(() -> {
            ((PlanStation) shell.station(5)).papers().writeJson(json);
            return null;
        });
        await(
                "the document has them",
                () -> Files.exists(json) && Files.readString(json).contains("Sweep now!"));
        assertThat(Files.readString(json)).contains("\"page\"", "\"CALLS\"");
        fire("#plan-calls", "As computed");
        await("computed again", () -> ((TextField) find("#call-0")).getText().equals(computed));
        // a field that has the keyboard goes with what is undone, and brings nothing back
        onFx(() -> {
            find("#call-0").requestFocus();
            return null;
        });
        fire("#station-plan", "Undo");
        await("and own again", () -> ((TextField) find("#call-0")).getText().equals("Sweep now!"));
    }

    @Test
    void whatWasStoppedIsBegunAnewWhenOneComesBack() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT5);
        await("exchanges are there", LONG, () -> says("#station-matchup", "Brisa's lasso guard"));
        onFx(() -> {
            desk.tasks().cancelLongTask();
            return null;
        });
        await("stopped or done", LONG, () -> says("#headline", "Stopped") || says("#headline", "% to "));
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        await("intervals are there", LONG, () -> says("#station-plan", "% to "));
    }

    @Test
    void clausesAreCheckedWhileTheyAreWrittenAndCountedInOurFilm() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        page("#plan-page-conduct", "#plan-conduct");
        type("#clause-text", "be brave");
        await("it says what is wrong", () -> text("#clause-check").contains("Cannot be measured"));
        fire("#plan-conduct", "Promise it");
        assertThat(desk.plan().get().clauses())
                .as("what cannot be measured is no clause")
                .isEmpty();
        type("#clause-text", "at least one takedown");
        await("our film is counted", LONG, () -> text("#clause-check").matches("(?s)Kept on \\d+ of \\d+ occasions.*"));
        fire("#plan-conduct", "Promise it");
        await("it is promised", () -> desk.plan().get().clauses().size() == 1);
        await(
                "with its evidence",
                LONG,
                () -> says("#plan-conduct", "occasions in")
                        && button("#plan-conduct", "Kept").size()
                                        + button("#plan-conduct", "Broken").size()
                                > 0);
        assertThat(says("#plan-conduct", "Last meeting ("))
                .as("held against the last meeting")
                .isTrue();
        fire("#station-plan", "Undo");
        await("and taken back", () -> desk.plan().get().clauses().isEmpty());
    }

    @Test
    void aPlanIsLaidByComparedAndRestored() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        page("#plan-page-otherwise", "#plan-otherwise");
        await("what they may do more of", LONG, () -> says("#plan-change-0", "as often we win"));
        await("and what breaks then", LONG, () -> says("#plan-change-0", "as often"));
        String twice = wins();
        Slider more = find("#dial-change-0");
        onFx(() -> {
            more.setValue(3);
            return null;
        });
        await("more of it, other chances", LONG, () -> wins().startsWith("At 3.00 times") && !wins().equals(twice));
        await("and what to do instead", LONG, () -> says("#plan-change-0", "Plan B: "));
        await("the match without its opening", LONG, () -> says("#plan-otherwise", "Without the "));
        assertThat(says("#plan-otherwise", "Nothing is scored under these rules."))
                .isTrue();
        page("#plan-page-saved", "#plan-saved");
        type("#saved-name", "calm");
        fire("#plan-saved", "Lay by");
        await("it is laid by", () -> desk.plan().get().saved().size() == 1);
        onFx(() -> {
            desk.changePlan(p -> p.approach(p.approach().emphasis(1)));
            return null;
        });
        await("intervals are there", LONG, () -> says("#headline", "% to "));
        fire("#plan-saved", "Compare");
        await("both are valued", LONG, () -> says("#plan-saved", "points against the present plan"));
        fire("#plan-saved", "Go back to it");
        await("the old dial is back", () -> approach().emphasis() == 0.5);
    }

    @Test
    void whatTheyKnowOfUsFollowsWhatIsPublic() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT5);
        page("#matchup-known", "#matchup-known-page");
        await("habits are told", LONG, () -> says("#matchup-known-page", "they expect it"));
        List<String> before = texts("#matchup-known-page");
        onFx(() -> {
            ((javafx.scene.control.CheckBox) find("#matchup-known-page")
                            .lookupAll(".check-box")
                            .iterator()
                            .next())
                    .fire();
            return null;
        });
        await("a record is private", () -> desk.matches().stream().anyMatch(MatchRecord::isPrivate));
        await("one match less is known", LONG, () -> {
            List<String> now = texts("#matchup-known-page");
            return now.size() > 2 && !now.get(0).equals(before.get(0));
        });
    }

    @Test
    void theBracketWeighsOpponentsByTheChanceToMeetThem() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT5);
        page("#matchup-bracket", "#matchup-bracket-page");
        fire("#matchup-bracket-page", "Work it out");
        await("all are solved", LONG, () -> says("#matchup-bracket-page", "too little film for a plan"));
        List<String> before = texts("#matchup-bracket-page");
        onFx(() -> {
            this.<javafx.scene.control.Spinner<Integer>>find("#chance-brisa-tolendt")
                    .getValueFactory()
                    .setValue(100);
            return null;
        });
        assertThat(desk.assignment().get().chance("brisa-tolendt")).isEqualTo(1);
        assertThat(desk.plan().get().them()).as("the plan stays open").isEqualTo("brisa-tolendt");
        await("skills weigh otherwise", () -> !texts("#matchup-bracket-page").equals(before));
    }

    @Test
    void aFigureIsBentWithASlider() throws Exception {
        openNight();
        press(KeyCode.CONTROL, KeyCode.DIGIT5);
        await("exchanges are there", LONG, () -> says("#station-matchup", "Brisa's lasso guard"));
        fire("#exchange-detail", "Correct");
        onFx(() -> {
            ((Slider) find("#slide-rate")).setValue(3);
            ((Slider) find("#slide-chance")).setValue(75);
            return null;
        });
        assertThat(((TextField) find("#correct-rate")).getText()).isEqualTo("3.00");
        assertThat(((TextField) find("#correct-chance")).getText()).isEqualTo("75");
        onFx(() -> {
            ((TextField) find("#correct-reason")).setText("what if");
            return null;
        });
        fire("#exchange-detail", "Set");
        await("it is kept", () -> approach().wishes().corrections().size() == 1);
        assertThat(approach().wishes().corrections().get(0).chance()).isEqualTo(0.75);
    }

    @Test
    void withTooLittleFilmItSaysWhatIsMissing() throws Exception {
        openNight();
        onFx(() -> {
            desk.openPlan("nobody");
            return null;
        });
        press(KeyCode.CONTROL, KeyCode.DIGIT5);
        await("it says so", LONG, () -> says("#headline", "a plan needs 3 of each"));
        assertThat(find("#win-natural").isVisible() && !natural().isEmpty()).isFalse();
        List<MatchRecord> matches = new ArrayList<>(desk.matches());
        assertThat(matches)
                .noneMatch(m -> m.details().date() == null || m.details().date().isAfter(LocalDate.of(2031, 5, 1)));
    }
}
