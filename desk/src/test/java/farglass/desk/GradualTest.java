package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;

/** What comes into sight piece by piece comes whole, in its order, and never all in one pulse. */
class GradualTest extends DeskDriver {
    /** Longer than a pulse may spend. */
    private static final int SLOW_MS = 5;

    private final VBox box = new VBox();
    private final List<Integer> seen = new ArrayList<>();

    private static List<Supplier<Node>> slow(String name, int count) {
        return IntStream.range(0, count)
                .<Supplier<Node>>mapToObj(i -> () -> {
                    long until = System.nanoTime() + SLOW_MS * 1_000_000L;
                    while (System.nanoTime() < until) {
                        Thread.onSpinWait();
                    }
                    return Ui.label(name + i);
                })
                .toList();
    }

    private static List<String> named(String name, int count) {
        return IntStream.range(0, count).mapToObj(i -> name + i).toList();
    }

    private List<String> there() throws Exception {
        return onFx(() ->
                box.getChildren().stream().map(n -> ((Labeled) n).getText()).toList());
    }

    private void inSight(boolean yes) throws Exception {
        onFx(() -> {
            StackPane root = (StackPane) scene.getRoot();
            return yes ? root.getChildren().add(box) : root.getChildren().remove(box);
        });
    }

    private void fill(List<Supplier<Node>> rows) throws Exception {
        onFx(() -> {
            scene.addPostLayoutPulseListener(() -> seen.add(box.getChildren().size()));
            Gradual.anew(box, rows);
            return null;
        });
    }

    @Test
    void slowPiecesComeOneAPulseAndInTheirOrder() throws Exception {
        fill(slow("row ", 12));
        assertThat(there()).as("not in a window yet").isEmpty();
        inSight(true);
        settle();
        assertThat(there()).isEqualTo(named("row ", 12));
        int most = 0;
        for (int i = 1; i < seen.size(); i++) {
            most = Math.max(most, seen.get(i) - seen.get(i - 1));
        }
        assertThat(most).as("the most that came in one pulse").isEqualTo(1);
    }

    @Test
    void quickPiecesComeTogether() throws Exception {
        inSight(true);
        fill(named("row ", 12).stream()
                .<Supplier<Node>>map(t -> () -> Ui.label(t))
                .toList());
        settle();
        assertThat(there()).hasSize(12);
        assertThat(seen.stream().filter(n -> n > 0 && n < 12).distinct().count())
                .isLessThan(11);
    }

    @Test
    void whatLeftTheWindowGoesOnWhenItIsBack() throws Exception {
        inSight(true);
        fill(slow("row ", 30));
        inSight(false);
        assertThat(onFx(() -> Gradual.settled(scene))).isTrue();
        assertThat(there()).hasSizeLessThan(30);
        inSight(true);
        settle();
        assertThat(there()).isEqualTo(named("row ", 30));
    }

    @Test
    void otherRowsTakeThePlaceOfThoseThatAreThereOrStillToCome() throws Exception {
        inSight(true);
        fill(slow("old ", 6));
        settle();
        seen.clear();
        fill(slow("half ", 20));
        fill(slow("new ", 4));
        settle();
        assertThat(there()).isEqualTo(named("new ", 4));
        assertThat(seen).as("never empty between").allMatch(n -> n >= 4);
    }

    @Test
    void aFieldThatIsStillToComeGetsTheKeyboardWhenItIsThere() throws Exception {
        TextField field = new TextField();
        List<Supplier<Node>> rows = new ArrayList<>(slow("row ", 8));
        rows.add(() -> field);
        onFx(() -> {
            Gradual.focus(field);
            return null;
        });
        inSight(true);
        fill(rows);
        settle();
        await("the keyboard is there", field::isFocused);
    }

    @Test
    void stationsAreStyledBeforeTheyAreSeen() throws Exception {
        Node before = onFx(() -> scene.getFocusOwner());
        Node plan = shell.station(5).view();
        assertThat(onFx(() -> plan.lookup(".slider"))).as("not yet").isNull();
        onFx(() -> {
            shell.prepare();
            return null;
        });
        AtomicReference<Control> slider = new AtomicReference<>();
        await("a slider of the plan is styled", () -> {
            slider.compareAndSet(null, (Control) plan.lookup(".slider"));
            return slider.get() != null && slider.get().getSkin() != null;
        });
        await("put away again", () -> plan.getScene() == null && slider.get().getScene() == null);
        assertThat(onFx(plan::getScene)).isNull();
        assertThat(onFx(() -> scene.getFocusOwner())).isSameAs(before);
        onFx(() -> {
            shell.go(5);
            return null;
        });
        settle();
        assertThat(onFx(() -> scene.lookup(".slider")))
                .as("the same, in its place")
                .isSameAs(slider.get());
    }

    @Test
    void aStationThatIsWantedWhileItIsStyledStaysWhole() throws Exception {
        Node plan = shell.station(5).view();
        onFx(() -> {
            shell.prepare();
            return null;
        });
        List<Node> gone = new ArrayList<>();
        await("it is being styled", () -> {
            if (plan.getScene() == null) {
                return false;
            }
            shell.go(5);
            ((VBox) plan.lookup("#station-plan")).getChildren().addListener((ListChangeListener<Node>) c -> {
                while (c.next()) {
                    gone.addAll(c.getRemoved());
                }
            });
            return true;
        });
        await("the next one is styled", () -> shell.station(6).view().getScene() != null);
        assertThat(onFx(() -> scene.lookup(".slider"))).isNotNull();
        assertThat(gone).isEmpty();
    }

    @Test
    void aListGrowsFromItsTopAndMakesOnlyRowsInSight() throws Exception {
        AtomicInteger cells = new AtomicInteger();
        AtomicInteger made = new AtomicInteger();
        List<Integer> perPulse = new ArrayList<>();
        ListView<Integer> list = onFx(() -> {
            ListView<Integer> made60 = Gradual.unfolding(new ListView<>());
            made60.setCellFactory(v -> {
                cells.incrementAndGet();
                return new ListCell<>() {
                    @Override
                    protected void updateItem(Integer item, boolean empty) {
                        super.updateItem(item, empty);
                        if (empty) {
                            setGraphic(null);
                        } else {
                            Gradual.row(this, () -> {
                                made.incrementAndGet();
                                Label label = Ui.label("row " + item);
                                label.setMinHeight(48);
                                return label;
                            });
                        }
                    }
                };
            });
            made60.getItems().setAll(IntStream.range(0, 60).boxed().toList());
            scene.addPostLayoutPulseListener(() -> perPulse.add(cells.get()));
            ((StackPane) scene.getRoot()).getChildren().add(made60);
            return made60;
        });
        settle();
        double height = onFx(list::getHeight);
        assertThat(height)
                .isEqualTo(onFx(() -> scene.getRoot().getLayoutBounds().getHeight()));
        int most = 0;
        for (int i = 1; i < perPulse.size(); i++) {
            most = Math.max(most, perPulse.get(i) - perPulse.get(i - 1));
        }
        assertThat(most).as("rows that came in one pulse").isBetween(1, 6);
        List<ListCell<?>> rows = new ArrayList<>();
        onFx(() -> {
            for (Node n : list.lookupAll(".list-cell")) {
                if (n instanceof ListCell<?> c && c.isVisible() && c.getParent().isVisible() && !c.isEmpty()) {
                    rows.add(c);
                }
            }
            return null;
        });
        assertThat(rows).hasSizeGreaterThan(10).allMatch(c -> c.getGraphic() instanceof Labeled);
        assertThat(made.get()).as("contents made").isLessThan(2 * rows.size());
    }
}
