package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.claim.ClaimRow;
import farglass.desk.claim.Dot;
import farglass.desk.profile.ProfileStation;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.time.Dates;
import java.time.YearMonth;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Matches are there, but nobody has said yet against whom we fight. */
class NoAssignmentTest extends DeskDriver {
    private static final String WHO = "brisa-tolendt";
    private ProfileStation station;

    @Override
    void fill(Library library) throws Exception {
        library.addAll(DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED));
    }

    @BeforeEach
    void goThere() {
        press(KeyCode.CONTROL, KeyCode.DIGIT4);
        station = (ProfileStation) shell.station(3);
    }

    private static Stream<String> said(Node root) {
        return root.lookupAll(".label").stream().map(n -> ((Labeled) n).getText());
    }

    private void choose() throws Exception {
        onFx(() -> {
            this.<ComboBox<String>>find("#profile-athlete").setValue(WHO);
            return null;
        });
        await("claims", () -> station.claims().size() > 5);
    }

    @Test
    void theProfileAsksForAnAthleteAndThenTellsTheGame() throws Exception {
        await(
                "a question",
                () -> said(find("#station-profile")).anyMatch(w -> w.startsWith("Choose an athlete above")));
        choose();
        assertThat(desk.profiled().get()).isEqualTo(WHO);
    }

    @Test
    void everyMatchHasATideLineThatOpensIt() throws Exception {
        choose();
        List<MatchRecord> theirs =
                desk.matches().stream().filter(r -> r.cornerOf(WHO).isPresent()).toList();
        ListView<List<?>> tides = onFx(() -> this.<ListView<List<?>>>find(".tides"));
        await(
                "all matches",
                () -> tides.getItems().stream().mapToInt(List::size).sum() == theirs.size());
        await("some in sight", () -> !tides.lookupAll(".clickable").isEmpty());
        onFx(() -> {
            tides.scrollTo(tides.getItems().size() - 1);
            return null;
        });
        await(
                "the last one is drawn",
                () -> tides.lookupAll(".clickable").stream()
                        .flatMap(n -> n.lookupAll(".legend").stream())
                        .map(n -> ((Labeled) n).getText())
                        .anyMatch(w -> w.startsWith(Dates.words(theirs.stream()
                                .map(r -> YearMonth.from(r.details().date()))
                                .max(YearMonth::compareTo)
                                .orElseThrow()))));
        onFx(() -> {
            Node tide = tides.lookupAll(".clickable").iterator().next();
            tide.getOnMouseClicked().handle(null);
            return null;
        });
        await("the film station", () -> theirs.contains(desk.openRecord().get()));
    }

    @Test
    void aDotSaysWhatItIsWhenItIsAskedFor() throws Exception {
        choose();
        fire("#page-CLAIMS");
        await("a row", () -> scene.lookup("#claims .dot") != null);
        ClaimRow row = onFx(() -> (ClaimRow) scene.lookup("#claims .claim"));
        Dot dot = onFx(() -> (Dot) row.lookup(".dot"));
        String said = onFx(() -> (String) dot.queryAccessibleAttribute(AccessibleAttribute.TEXT));
        MatchRecord match =
                desk.match(row.claim().trials().get(0).tag().match()).orElseThrow();
        assertThat(said).contains("Tolendt", Dates.words(match.details().date()));
        robot.moveTo(dot);
        await(
                "its tip",
                () -> robot.listWindows().stream()
                        .flatMap(w -> w.getScene().getRoot().lookupAll(".tooltip").stream())
                        .anyMatch(n -> n instanceof Labeled l && said.equals(l.getText())));
        robot.interact(dot::requestFocus);
        press(KeyCode.SPACE);
        await("its moment", () -> said(find("#station-profile")).anyMatch(said::equals));
    }
}
