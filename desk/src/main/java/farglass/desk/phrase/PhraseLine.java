package farglass.desk.phrase;

import farglass.check.SecondPass;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.phrase.Context;
import farglass.phrase.LikelyNext;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import farglass.phrase.TypedWords;
import farglass.time.Clock;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/**
 * Reads phrases as they are typed. The moment is stamped when the phrase is begun; Enter keeps it, Esc drops it, a
 * digit on the empty line takes a likely next tag, Tab takes the first completion.
 */
public final class PhraseLine extends VBox {
    private static final int LIKELY = 5;
    private static final String COMMAND_SIGNS = " ,./[]{}=";

    private final TextField field = new TextField();
    private final Label stamp = Ui.label("", "phrase-stamp");
    private final Label reading = Ui.label("", "phrase-reading");
    private final Label inferred = Ui.label("", "phrase-inferred");
    private final Wrapping choices = new Wrapping(14, Pos.CENTER_LEFT);
    private final PhraseReader reader;
    private final Lexicon lexicon;
    private final Supplier<MatchRecord> record;
    private final Supplier<Optional<MatchTime>> now;
    private final BiFunction<MatchRecord, Corner, Color> colours;
    private final BiConsumer<String, List<Tag>> keep;
    private Supplier<Optional<SecondPass.Question>> asks = Optional::empty;
    private BiConsumer<SecondPass.Question, SecondPass.Choice> answer = (q, c) -> {};
    private LikelyNext model;
    private MatchTime begun;
    private Reading last;
    private List<LikelyNext.Suggestion> likely = List.of();

    /**
     * @param record the record phrases go to
     * @param now the moment a phrase begun now is about; empty when the film shows no match time
     * @param colours the colour an athlete of a record is drawn in
     * @param keep takes a finished phrase and its tags
     */
    public PhraseLine(
            Lexicon lexicon,
            Supplier<MatchRecord> record,
            Supplier<Optional<MatchTime>> now,
            BiFunction<MatchRecord, Corner, Color> colours,
            BiConsumer<String, List<Tag>> keep) {
        super(8);
        this.lexicon = lexicon;
        this.reader = new PhraseReader(lexicon);
        this.record = record;
        this.now = now;
        this.colours = colours;
        this.keep = keep;
        getStyleClass().addAll("sheet", "phrase-line");
        field.setId("phrase");
        field.getStyleClass().add("phrase");
        field.setPromptText(Words.of("phrase.prompt"));
        field.setAccessibleText(Words.of("phrase.prompt"));
        field.textProperty().addListener((o, was, is) -> typed(is));
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        field.addEventFilter(KeyEvent.KEY_TYPED, this::keyTyped);
        HBox line = new HBox(10, stamp, Ui.grow(field), reading, inferred);
        line.setAlignment(Pos.CENTER_LEFT);
        stamp.setMinWidth(52);
        choices.setMinHeight(24);
        getChildren().addAll(line, choices);
        showLikely();
    }

    /**
     * Sets who asks about tags that are there already: while a question is open, its answers stand where the likely
     * next tags do, and digits choose among them.
     */
    public void asks(
            Supplier<Optional<SecondPass.Question>> asks, BiConsumer<SecondPass.Question, SecondPass.Choice> answer) {
        this.asks = asks;
        this.answer = answer;
    }

    public TextField field() {
        return field;
    }

    public boolean isEmpty() {
        return field.getText().isEmpty();
    }

    public void model(LikelyNext next) {
        model = next;
        showLikely();
    }

    /** The film or the record has moved on: what is likely next may be something else. */
    public void moved() {
        if (isEmpty()) {
            showLikely();
        }
    }

    private void keyTyped(KeyEvent e) {
        if (isEmpty() && e.getCharacter().matches("[1-9]")) {
            int n = e.getCharacter().charAt(0) - '1';
            e.consume();
            Optional<SecondPass.Question> question = asks.get();
            if (question.isPresent()) {
                if (n < question.get().choices().size()) {
                    answer.accept(question.get(), question.get().choices().get(n));
                }
            } else if (n < likely.size()) {
                choose(likely.get(n));
            }
        } else if (isEmpty() && COMMAND_SIGNS.contains(e.getCharacter())) {
            // these were keys of the film, no phrase begins with them
            e.consume();
        }
    }

    private void choose(LikelyNext.Suggestion s) {
        begin();
        field.setText(s.by().code() + " " + Lexicon.normal(lexicon.techniqueName(s.technique())) + " ");
        field.end();
        field.requestFocus();
    }

    private void keyPressed(KeyEvent e) {
        if (e.getCode() == KeyCode.ENTER && !isEmpty()) {
            e.consume();
            confirm();
        } else if (e.getCode() == KeyCode.ESCAPE && !isEmpty()) {
            e.consume();
            field.clear();
        } else if (e.getCode() == KeyCode.TAB
                && !isEmpty()
                && last != null
                && !last.completions().isEmpty()) {
            e.consume();
            complete(last.completions().get(0));
        }
    }

    private void complete(String text) {
        field.setText(text + " ");
        field.end();
        field.requestFocus();
    }

    private void begin() {
        if (begun == null) {
            begun = now.get().orElse(null);
        }
    }

    private void typed(String text) {
        if (text.isEmpty()) {
            begun = null;
            last = null;
            stamp.setText("");
            reading.setText("");
            inferred.setText("");
            showLikely();
            return;
        }
        begin();
        if (begun == null) {
            stamp.setText("");
            say("", "", TypedWords.clock(text) ? "" : Words.of("phrase.no-time"));
            return;
        }
        stamp.setText(Clock.tenths(begun.ms()));
        last = reader.read(text, context());
        say(String.join(", ", last.words()), String.join(", ", last.inferred()), last.problem());
        showCompletions();
    }

    private Context context() {
        MatchRecord r = record.get();
        Span here = PositionLine.of(r, lexicon).current(begun).orElse(null);
        return new Context(r, begun, here);
    }

    private void say(String words, String filled, String problem) {
        reading.getStyleClass().remove("problem");
        if (problem.isEmpty()) {
            reading.setText(words);
            inferred.setText(filled);
        } else {
            reading.setText(words.isEmpty() ? problem : words + ": " + problem);
            reading.getStyleClass().add("problem");
            inferred.setText("");
        }
    }

    private void confirm() {
        String text = field.getText().strip();
        if ((last != null && last.complete()) || TypedWords.clock(text)) {
            List<Tag> tags = last == null ? List.of() : last.tags();
            field.clear();
            keep.accept(text, tags);
        }
    }

    private void showCompletions() {
        if (last.completions().isEmpty()) {
            return;
        }
        choices.getChildren().setAll(Ui.label(Words.of("phrase.complete"), "heading"));
        boolean first = true;
        for (String c : last.completions()
                .subList(0, Math.min(LIKELY, last.completions().size()))) {
            Button b = Ui.button(c, () -> complete(c), "choice");
            b.setFocusTraversable(false);
            HBox one = first ? new HBox(6, Ui.label("Tab", "key"), b) : new HBox(b);
            one.setAlignment(Pos.CENTER_LEFT);
            choices.getChildren().add(one);
            first = false;
        }
    }

    private void showQuestion(SecondPass.Question question) {
        Label heading = Ui.label(Words.of("pass.asks." + question.asks().name().toLowerCase(Locale.ROOT)), "heading");
        heading.setMinWidth(USE_PREF_SIZE);
        choices.getChildren().setAll(heading);
        int n = 1;
        for (SecondPass.Choice c : question.choices()) {
            Button b = Ui.button(c.words(), () -> answer.accept(question, c), "choice");
            b.setFocusTraversable(false);
            HBox one = new HBox(5, Ui.label(Integer.toString(n++), "key"), b);
            one.setAlignment(Pos.CENTER_LEFT);
            choices.getChildren().add(one);
        }
    }

    private void showLikely() {
        Optional<SecondPass.Question> question = asks.get();
        if (question.isPresent()) {
            showQuestion(question.get());
            return;
        }
        MatchRecord r = record.get();
        Optional<MatchTime> t = now.get();
        likely = model == null || r == null || t.isEmpty()
                ? List.of()
                : model.after(
                        PositionLine.of(r, lexicon).current(t.get()).orElse(null),
                        LikelyNext.before(r, t.get(), lexicon),
                        r,
                        LIKELY);
        Label heading = Ui.label(Words.of("phrase.likely"), "heading");
        heading.setMinWidth(USE_PREF_SIZE);
        choices.getChildren().setAll(heading);
        if (likely.isEmpty()) {
            String why = r != null && t.isEmpty() ? "phrase.no-time" : "phrase.no-likely";
            choices.getChildren().add(Ui.label(Words.of(why), "soft"));
        }
        for (int i = 0; i < likely.size(); i++) {
            LikelyNext.Suggestion s = likely.get(i);
            Button b = Ui.button(lexicon.techniqueName(s.technique()), () -> choose(s), "choice");
            b.setAccessibleText(r.athlete(s.by()).surname() + " " + lexicon.techniqueName(s.technique()));
            b.setFocusTraversable(false);
            Rectangle chip = new Rectangle(10, 10, colours.apply(r, s.by()));
            Label chance = Ui.label(Math.round(s.chance() * 100) + "%", "soft");
            chance.setMinWidth(USE_PREF_SIZE);
            HBox one = new HBox(
                    5, Ui.label(Integer.toString(i + 1), "key"), chip, Ui.label(s.by().code(), "body"), b, chance);
            one.setAlignment(Pos.CENTER_LEFT);
            choices.getChildren().add(one);
        }
    }
}
