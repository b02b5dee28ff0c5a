package farglass.desk.film;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/** Above the record: how many tags it has, how far the pass is, and which way its times count. */
final class RecordHead extends HBox {
    private final RecordClock clock;
    private final Runnable turned;
    private final Label count = Ui.label("", "soft");
    private final Button direction = Ui.button("", this::turn, "quiet");

    /** @param turned told when times count the other way */
    RecordHead(RecordClock clock, Runnable turned) {
        super(2);
        this.clock = clock;
        this.turned = turned;
        direction.setId("record-clock");
        direction.setFocusTraversable(false);
        direction.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().addAll(count, direction);
        setAlignment(Pos.CENTER_RIGHT);
        showDirection();
    }

    /** @param progress how far the pass has come, in words */
    void show(MatchRecord r, String progress) {
        long unsure = r.tags().stream().filter(t -> t.info().unsure()).count();
        String tags = unsure == 0
                ? Words.of("record.count", r.tags().size())
                : Words.of("record.count.unsure", r.tags().size(), unsure);
        count.setText(tags + ", " + progress);
    }

    /** Match times in the record count the other way. */
    void turn() {
        clock.turn();
        showDirection();
    }

    /** @param down whether the clock in the picture counts down; null when it was not read */
    void film(@Nullable Boolean down) {
        clock.film(down);
        showDirection();
    }

    private void showDirection() {
        direction.setText(Words.of(clock.down() ? "record.down" : "record.up"));
        String meaning = Words.of(clock.down() ? "record.down.meaning" : "record.up.meaning");
        direction.setAccessibleText(meaning);
        direction.setTooltip(new Tooltip(meaning));
        turned.run();
    }
}
