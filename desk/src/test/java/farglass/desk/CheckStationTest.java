package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Ruleset;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The record is checked in the window: the score with its reasons, findings, repairs, the table's calls. */
class CheckStationTest extends DeskDriver {
    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private ListView<Finding> findings() {
        return find("#findings");
    }

    private String text(String selector) {
        return ((Labeled) scene.lookup(selector)).getText();
    }

    /** Opens the station on a match with points. */
    private void openChecked() throws Exception {
        MatchRecord scored = desk.matches().stream()
                .filter(r -> r.details().ruleset().equals("points-gi"))
                .filter(r -> r.tags().stream()
                                .filter(t -> t instanceof Tag.Call c && c.value() != null)
                                .count()
                        > 2)
                .findFirst()
                .orElseThrow();
        onFx(() -> {
            desk.openMatch(scored.id());
            return null;
        });
        press(KeyCode.CONTROL, KeyCode.DIGIT3);
        await(
                "the score is worked out",
                () -> scene.lookup("#score-own-board") != null
                        && !text("#score-own-board").isEmpty());
    }

    @Test
    void theScoreIsShownWithItsReasonsAndUnderOtherRules() throws Exception {
        openChecked();
        ListView<?> lines = find("#score-own");
        assertThat(lines.getItems()).isNotEmpty();
        assertThat(text("#score-own-board")).contains(record().details().a().surname());
        ComboBox<Ruleset> rules = find("#check-what-if");
        onFx(() -> {
            rules.setValue(desk.rulesets().get().of("submission-only", null).orElseThrow());
            return null;
        });
        await("nothing counts", () -> text("#score-other-board").contains("0 : 0"));
        onFx(() -> {
            rules.setValue(desk.rulesets().get().of("points-gi", null).orElseThrow());
            return null;
        });
        await("the same rules, the same score", () -> text("#score-other-board").equals(text("#score-own-board")));
        assertThat(((CheckBox) find("#check-all-called")).isSelected()).isFalse();
    }

    @Test
    void aFindingIsRepairedByOneKeyAndTheRepairTakenBack() throws Exception {
        openChecked();
        MatchRecord before = record();
        int index = 0;
        while (!(before.tags().get(index) instanceof Tag.Action)) {
            index++;
        }
        Tag twice = before.tags().get(index);
        onFx(() -> {
            desk.edit(Edit.add(before, twice.with(farglass.match.TagInfo.NONE)));
            return null;
        });
        await(
                "found",
                () -> findings().getItems().stream().anyMatch(f -> f.code().equals("twice")));
        int size = record().tags().size();
        onFx(() -> {
            Finding f = findings().getItems().stream()
                    .filter(x -> x.code().equals("twice"))
                    .findFirst()
                    .orElseThrow();
            findings().getSelectionModel().select(f);
            findings().requestFocus();
            return null;
        });
        press(KeyCode.ENTER);
        await("repaired", () -> record().tags().size() == size - 1);
        await(
                "not doubtful any more",
                () -> findings().getItems().stream().noneMatch(f -> f.code().equals("twice")));
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> record().tags().size() == size);
    }

    @Test
    void theTableIsSettledAndTheNextFindingIsReachedByAKey() throws Exception {
        openChecked();
        MatchRecord before = record();
        Tag.Call false2 = new Tag.Call(
                farglass.time.MatchTime.ofMs(1000),
                farglass.match.CallKind.POINTS,
                farglass.match.Corner.A,
                2,
                true,
                null,
                null,
                farglass.match.TagInfo.NONE);
        onFx(() -> {
            desk.edit(Edit.add(before, false2));
            return null;
        });
        await("the table differs", () -> differing() > 0);
        long differing = differing();
        while (!onFx(() -> findings().getSelectionModel().getSelectedItem() != null
                && findings().getSelectionModel().getSelectedItem().code().equals("table-differs"))) {
            press(KeyCode.F3);
        }
        press(KeyCode.ALT, KeyCode.E);
        await("settled", () -> differing() == differing - 1);
        assertThat(record().tags()).hasSize(before.tags().size() + 1);
    }

    private long differing() {
        return findings().getItems().stream()
                .filter(f -> f.code().equals("table-differs"))
                .count();
    }

    @Test
    void aRulesetOfOnesOwnIsKeptAndUsed() throws Exception {
        openChecked();
        Ruleset gi = Rulesets.builtIn().of("points-gi", null).orElseThrow();
        Ruleset mine = RulesetReader.read(RulesetReader.write(gi)
                .replaceFirst("\"pass\" : 3", "\"pass\" : 9")
                .replace("points, gi", "house rules"));
        onFx(() -> {
            desk.keep(mine);
            return null;
        });
        assertThat(desk.rulesets().get().orUsual("points-gi", null).value("pass"))
                .isEqualTo(9);
        await("kept", () -> !desk.library().settings().isEmpty());
        restart();
        assertThat(desk.rulesets().get().all())
                .extracting(Ruleset::name)
                .contains("house rules")
                .doesNotContain("points, gi");
        assertThat(List.of(desk.rulesets()
                        .get()
                        .of("points-gi", null)
                        .orElseThrow()
                        .value("pass")))
                .containsExactly(9);
    }

    @Test
    void anotherRecordOfTheMatchIsMergedByKeys() throws Exception {
        openChecked();
        MatchRecord mine = record();
        int index = 0;
        while (!(mine.tags().get(index) instanceof Tag.Action)) {
            index++;
        }
        MatchRecord theirs = Edit.remove(mine, index).apply(mine);
        java.nio.file.Path file = java.nio.file.Files.writeString(
                folder.resolve("theirs.match.json"), farglass.store.json.MatchJson.write(theirs));
        onFx(() -> {
            farglass.desk.check.CheckProbe.drop((farglass.desk.check.CheckStation) shell.station(2), file);
            return null;
        });
        await(
                "one difference",
                () -> scene.lookup("#compare-list") != null
                        && ((ListView<?>) find("#compare-list")).getItems().size() == 1);
        assertThat(text("#compare-numbers")).contains("kappa");
        press(KeyCode.ENTER);
        await("taken over", () -> record().tags().equals(theirs.tags()));
        await(
                "no difference left",
                () -> ((ListView<?>) find("#compare-list")).getItems().isEmpty());
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> record().tags().equals(mine.tags()));
        press(KeyCode.ESCAPE);
        assertThat(scene.lookup("#compare-sheet")).isNull();
        java.nio.file.Path broken = java.nio.file.Files.writeString(folder.resolve("x.match.json"), "{");
        onFx(() -> {
            farglass.desk.check.CheckProbe.drop((farglass.desk.check.CheckStation) shell.station(2), broken);
            return null;
        });
        awaitNotice("x.match.json cannot be compared");
    }

    @Test
    void whoChangedWhatIsToldAndTwoVersionsAreCompared() throws Exception {
        openChecked();
        onFx(() -> {
            desk.edit(Edit.remove(record(), 3));
            desk.edit(Edit.remove(record(), 3));
            return null;
        });
        await("written", () -> desk.library().history(record().id()).size() == 2);
        fire("#check-history");
        ListView<?> steps = find("#history-steps");
        await("both steps", () -> steps.getItems().size() == 2);
        assertThat(desk.library().history(record().id()).get(0).by()).isNotBlank();
        onFx(() -> {
            steps.getSelectionModel().select(0);
            return null;
        });
        await(
                "what the last one changed",
                () -> text("#history-compared").startsWith("From version 1 to version 2: - "));
    }

    @Test
    void theValuesOfTheRulesAreChangedInAForm() throws Exception {
        openChecked();
        fire("#check-rules");
        onFx(() -> {
            ((javafx.scene.control.TextField) find("#rules-pass")).setText("many");
            return null;
        });
        fire("#rules-keep");
        assertThat(text("#rules-problem")).contains("not a number");
        onFx(() -> {
            ((javafx.scene.control.TextField) find("#rules-pass")).setText("5");
            return null;
        });
        fire("#rules-keep");
        await("kept", () -> desk.rulesets().get().orUsual("points-gi", null).value("pass") == 5);
        assertThat(scene.lookup("#rules-sheet")).isNull();
    }

    @Test
    void theTeamsOwnWordsHoldFromTheNextStartAndTermsAreMergedAtOnce() throws Exception {
        openChecked();
        fire("#check-lexicon");
        set("#lexicon-search", "knee cut");
        ListView<?> terms = find("#lexicon-list");
        onFx(() -> {
            terms.getSelectionModel().select(0);
            return null;
        });
        set(
                "#lexicon-aliases",
                desk.lexicon().technique("leg-drag").orElseThrow().aliases().get(0));
        fire("#lexicon-keep");
        assertThat(text("#lexicon-told")).contains("This cannot be");
        set("#lexicon-aliases", "the zipper");
        set("#lexicon-checkpoints", "head-low");
        fire("#lexicon-keep");
        assertThat(text("#lexicon-told")).startsWith("Kept.");
        long before = using("knee-cut");
        assertThat(before).isPositive();
        set("#lexicon-into", "leg drag");
        fire("#lexicon-merge");
        await("rewritten", () -> using("knee-cut") == 0);
        press(KeyCode.ESCAPE);
        await("kept", () -> desk.library().setting("lexicon.own").isPresent());
        restart();
        assertThat(desk.lexicon().lookUp("the zipper"))
                .extracting(t -> t.code())
                .containsExactly("knee-cut");
        assertThat(desk.lexicon().checkpoints("knee-cut")).containsExactly("head-low");
        assertThat(using("knee-cut")).isZero();
        assertThat(onFx(() -> desk.teamLexicon().stepBack())).isTrue();
        assertThat(desk.teamLexicon().next().lookUp("the zipper")).isEmpty();
    }

    private long using(String technique) {
        return desk.matches().stream()
                .flatMap(r -> r.tags().stream())
                .filter(t -> t instanceof Tag.Action a && a.technique().equals(technique))
                .count();
    }

    private void set(String field, String text) throws Exception {
        onFx(() -> {
            ((javafx.scene.control.TextField) find(field)).setText(text);
            return null;
        });
    }
}
