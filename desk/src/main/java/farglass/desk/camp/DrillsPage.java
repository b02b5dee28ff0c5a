package farglass.desk.camp;

import farglass.desk.player.MomentView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.drill.Drill;
import farglass.drill.DrillBook;
import farglass.drill.Memory;
import farglass.match.MatchRecord;
import farglass.text.CoreWords;
import farglass.text.Language;
import farglass.work.publish.Moments;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** Recognition drills: the clip stops, an answer by key, then it plays on; what fades is asked again. */
final class DrillsPage extends VBox {
    private static final Duration TIME = Duration.seconds(8);
    private static final long BEFORE_MS = 4000;
    private static final long AFTER_MS = 4500;
    /** An opening is seen before anybody has moved through it. */
    private static final long OPEN_MS = 500;

    private static final double SLOW = 0.5;
    private static final String PERSON = "drill.person";
    private static final String BOOK = "drill.book.";

    private final Desk desk;
    private final CampModel model;
    private final TextField person = new TextField();
    private final Label open = Ui.label("", "claim-interval");
    private final Label question = Ui.prose("", "question-small");
    private final Label verdict = Ui.prose("", "body");
    private final FlowPane choices = new FlowPane(8, 6);
    private final Label progress = Ui.prose("", "claim-notes");
    private final MomentView moment;
    private final PauseTransition late = new PauseTransition(TIME);
    private Drill asked;
    private long since;

    DrillsPage(Desk desk, CampModel model) {
        super(8);
        this.desk = desk;
        this.model = model;
        this.moment = new MomentView(desk, Words.of("drill.hint"), (match, tag) -> {}).large(330);
        setId("camp-drills");
        person.setId("drill-person");
        person.setPromptText(Words.of("drill.person.prompt"));
        person.setText(desk.preferences().get(PERSON).orElse(""));
        person.textProperty().addListener((o, was, is) -> fill());
        question.setId("drill-question");
        verdict.setId("drill-verdict");
        choices.setId("drill-choices");
        Button next = Ui.button(Words.of("drill.start"), this::next, "strong-button");
        next.setId("drill-next");
        HBox head = new HBox(8, Ui.name(Words.of("drill.person"), person), person, next, open);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, Ui.grow(moment), question, choices, verdict, progress);
        late.setOnFinished(e -> answer(null));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            int n = e.getText().length() == 1 ? e.getText().charAt(0) - '1' : -1;
            if (asked != null
                    && !person.isFocused()
                    && n >= 0
                    && n < asked.choices().size()) {
                answer(asked.choices().get(n));
                e.consume();
            }
        });
        fill();
    }

    private String who() {
        return person.getText().strip();
    }

    private DrillBook book() {
        return desk.preferences().get(BOOK + who()).map(DrillBook::read).orElse(DrillBook.EMPTY);
    }

    private List<Drill> drills() {
        return model.ready().get() == null ? List.of() : model.ready().get().drills();
    }

    void fill() {
        if (asked != null) {
            return;
        }
        LocalDate today = LocalDate.now(desk.clock());
        open.setText(Words.of("drill.open", book().open(drills(), today), drills().size()));
        progress.setText(book().progress().entrySet().stream()
                .map(e -> Words.of(
                        "drill.progress", desk.lexicon().techniqueName(e.getKey()), e.getValue()[0], e.getValue()[1]))
                .collect(Collectors.joining("   ")));
    }

    private void next() {
        if (who().isEmpty()) {
            desk.notices().done(Words.of("drill.nobody"));
            return;
        }
        if (drills().isEmpty()) {
            desk.notices().done(Words.of("drill.none"));
            return;
        }
        desk.preferences().set(PERSON, who());
        Optional<Drill> d = book().next(drills(), LocalDate.now(desk.clock()));
        if (d.isEmpty()) {
            question.setText(Words.of("drill.done", who()));
            choices.getChildren().clear();
            return;
        }
        ask(d.get());
    }

    private void ask(Drill d) {
        asked = d;
        verdict.setText("");
        String trigger = desk.lexicon().techniqueName(d.trigger());
        question.setText(
                switch (d.kind()) {
                    case SIDE -> Words.of("drill.side", trigger);
                    case ANSWER -> Words.of("drill.answer", trigger);
                    case OPENING -> Words.of("drill.opening");
                });
        choices.getChildren().clear();
        for (int i = 0; i < d.choices().size(); i++) {
            String code = d.choices().get(i);
            choices.getChildren()
                    .add(Ui.button(Words.of("drill.choice", i + 1, words(code)), () -> answer(code), "choice"));
        }
        requestFocus();
        show(-BEFORE_MS, d.kind() == Drill.Kind.OPENING ? -OPEN_MS : 0, 1);
        // the time for an answer begins when the clip stands still
        since = System.nanoTime() + BEFORE_MS * 1_000_000;
        late.setDelay(Duration.millis(BEFORE_MS));
        late.playFromStart();
    }

    private void show(long fromMs, long toMs, double speed) {
        Optional<MatchRecord> r = desk.match(asked.tag().match());
        int tag = r.map(x -> Moments.index(x, asked.tag())).orElse(-1);
        if (tag >= 0) {
            moment.once(r.get(), r.get().tags().get(tag).t(), fromMs, toMs, speed, "");
        }
    }

    /** @param code null when the time is over */
    private void answer(String code) {
        if (asked == null) {
            return;
        }
        late.stop();
        double seconds = Math.max(0, (System.nanoTime() - since) / 1e9);
        Boolean right = code == null ? null : Boolean.valueOf(code.equals(asked.right()));
        int quality = Memory.quality(right, seconds);
        LocalDate today = LocalDate.now(desk.clock());
        DrillBook next = book().answered(asked, quality, today);
        desk.preferences().set(BOOK + who(), next.text());
        verdict.setText(
                Boolean.TRUE.equals(right)
                        ? Words.of(
                                "drill.right",
                                String.format(Language.locale(), "%.1f", seconds),
                                next.lines().get(asked.id()).memory().intervalDays())
                        : Words.of(right == null ? "drill.late" : "drill.wrong", words(asked.right())));
        show(-1000, AFTER_MS, SLOW);
        asked = null;
        fill();
    }

    private String words(String code) {
        if (code.startsWith("=")) {
            return CoreWords.code(code.substring(1));
        }
        return code.equals("none") ? Words.of("drill.nothing") : desk.lexicon().techniqueName(code);
    }

    void pause() {
        late.stop();
        asked = null;
        moment.pause();
    }
}
