package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.chart.ChartView;
import farglass.desk.claim.ClaimRow;
import farglass.desk.profile.ProfileStation;
import farglass.profile.Claim;
import farglass.stats.Grade;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.PixelReader;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is on a claim's row and on a page's drawings, and what the keyboard does with them. */
class ProfileDeedsTest extends DeskDriver {
    private ProfileStation station;

    @BeforeEach
    void goThere() throws Exception {
        toClaims();
        station = (ProfileStation) shell.station(3);
        await("claims are there", () -> station.claims().size() > 5);
    }

    private Stream<String> texts(Node root) {
        return root.lookupAll(".label").stream().map(n -> ((Labeled) n).getText());
    }

    private static String row(Claim c) {
        return "#claim-" + c.id().replaceAll("[^A-Za-z0-9]+", "-");
    }

    private boolean shows(String selector, String words) {
        Node root = scene.lookup(selector);
        return root != null && texts(root).anyMatch(t -> t != null && t.contains(words));
    }

    @Test
    void everyRowInSightHasItsNumberIntervalCountsAndDots() throws Exception {
        List<ClaimRow> rows = onFx(() -> {
            List<ClaimRow> found = new ArrayList<>();
            for (Node n : find("#claims").lookupAll(".claim")) {
                if (n instanceof ClaimRow r && n.isVisible()) {
                    found.add(r);
                }
            }
            return found;
        });
        assertThat(rows).hasSizeGreaterThan(2);
        for (ClaimRow r : rows) {
            Claim c = r.claim();
            List<String> words = onFx(() -> texts(r).toList());
            assertThat(words)
                    .contains(desk.claimWriter().sentence(c), desk.claimWriter().number(c));
            assertThat(words).contains(desk.claimWriter().interval(c));
            assertThat(words).anyMatch(w -> w.startsWith(desk.claimWriter().counts(c)));
            int dots = onFx(() -> r.lookupAll(".dot").size());
            assertThat(dots).isEqualTo(Math.min(40, c.trials().size()));
        }
    }

    @Test
    void gradesStandUnderHeadingsAndThinOnesLast() {
        List<Claim> claims = station.claims();
        List<Grade> order =
                claims.stream().map(c -> c.estimate().grade()).distinct().toList();
        assertThat(order).isSortedAccordingTo(java.util.Comparator.naturalOrder());
        await("heading", () -> shows("#claims", "Evidence: strong"));
    }

    @Test
    void keysPinPlayAndGoFromPageToPage() throws Exception {
        Claim first = station.claims().get(0);
        onFx(() -> {
            station.show(first);
            station.list().requestFocus();
            return null;
        });
        press(KeyCode.ALT, KeyCode.P);
        await("pinned", () -> desk.plan().get().isPinned(desk.profiled().get(), first.id()));
        await("its row says so", () -> scene.lookup(row(first) + " .pin.on") != null);
        press(KeyCode.ALT, KeyCode.P);
        await("not any more", () -> desk.plan().get().pinned().isEmpty());
        press(KeyCode.ENTER);
        await("without film that is said", () -> shows("#station-profile", "None of these"));
        press(KeyCode.F3);
        await("the guards", () -> shows("#station-profile", "Which guards does Tolendt play"));
        press(KeyCode.SHIFT, KeyCode.F3);
        await("the claims again", () -> shows("#station-profile", "What does Tolendt do"));
        for (int i = 0; i < 2; i++) {
            press(KeyCode.SHIFT, KeyCode.F3);
        }
        await("back through the figures", () -> shows("#station-profile", "What follows what in Tolendt's game"));
        fire("#page-REPORT");
        await("the report", () -> scene.lookup("#scouting") != null);
        press(KeyCode.SHIFT, KeyCode.F3);
        await("round to the own report", () -> scene.lookup("#report") != null);
    }

    @Test
    void aDeedWithoutAChosenClaimSaysWhatIsMissing() throws Exception {
        onFx(() -> {
            station.list().getSelectionModel().clearSelection();
            station.list().requestFocus();
            return null;
        });
        press(KeyCode.ALT, KeyCode.J);
        awaitNotice("Choose a claim");
    }

    private static long inked(Canvas canvas) {
        PixelReader pixels = canvas.snapshot(null, null).getPixelReader();
        long n = 0;
        for (int y = 0; y < canvas.getHeight(); y += 2) {
            for (int x = 0; x < canvas.getWidth(); x += 2) {
                n += pixels.getColor(x, y).equals(Color.WHITE) ? 0 : 1;
            }
        }
        return n;
    }

    @Test
    void theChartIsDrawn() throws Exception {
        fire("#page-CHART");
        await("the chart", () -> scene.lookup("#chart") != null);
        ChartView chart = find("#chart");
        await("it is drawn", () -> inked((Canvas) chart.lookup("Canvas")) > 500);
    }

    @Test
    void curvesAndTreesAreDrawnWithNamesThatPlay() throws Exception {
        fire("#page-GUARDS");
        await("curves", () -> {
            List<?> rows = station.list().getItems();
            for (int i = 0; i < rows.size(); i++) {
                if (rows.get(i).toString().startsWith("Drawn[figure=Curves")) {
                    station.list().scrollTo(i);
                }
            }
            return names().anyMatch(t -> t.startsWith("still there ("));
        });
        fire("#page-FINISHES");
        await("a tree", () -> {
            station.list().scrollTo(4);
            return !scene.getRoot().lookupAll(".tree-lock").isEmpty();
        });
    }

    private Stream<String> names() {
        return scene.getRoot().lookupAll(".quiet").stream()
                .filter(Labeled.class::isInstance)
                .map(n -> ((Labeled) n).getText());
    }

    private long minutes() {
        String who = desk.profiled().get();
        return Math.round(Evidence.of(desk.index(), who, Filter.ALL).exposureMs() / 60_000.0);
    }

    @Test
    void filtersNarrowAndCanBeTakenBack() throws Exception {
        await("all of them", () -> shows("#station-profile", "17 matches"));
        fire("#filter-more");
        onFx(() -> {
            ComboBox<String> opponent = find("#filter-opponent");
            opponent.setValue("juno-fastrel");
            return null;
        });
        await("one match", () -> shows("#station-profile", "1 match,"));
        onFx(() -> {
            ComboBox<String> opponent = find("#filter-opponent");
            opponent.setValue("");
            ComboBox<String> score = find("#filter-score");
            score.setValue("BEHIND");
            return null;
        });
        await("still all, but less of each", () -> shows("#station-profile", "17 matches"));
        onFx(() -> {
            ComboBox<String> score = find("#filter-score");
            score.setValue("");
            TextField kg = find("#station-profile .text-field");
            assertThat(kg).isNotNull();
            return null;
        });
        await("back to the beginning", () -> shows("#station-profile", minutes() + " min"));
    }

    @Test
    void theDossierSheetKeepsPinnedClaimsWhereThereAreAny() throws Exception {
        Claim third = station.claims().get(2);
        onFx(() -> {
            station.actions().pin(third);
            return null;
        });
        press(KeyCode.ALT, KeyCode.H);
        await("the sheet", () -> scene.lookup("#hand-over-sheet") != null);
        await("one is chosen", () -> shows("#hand-over-sheet", "1 chosen"));
        boolean ticked = onFx(() -> scene.lookup("#hand-over-list").lookupAll(".check-box").stream()
                .map(CheckBox.class::cast)
                .anyMatch(b ->
                        b.isSelected() && b.getText().equals(desk.claimWriter().sentence(third))));
        assertThat(ticked).isTrue();
        press(KeyCode.ESCAPE);
        await("put away", () -> scene.lookup("#hand-over-sheet") == null);
    }
}
