package farglass.desk.film;

import farglass.check.SecondPass;
import farglass.desk.phrase.PhraseLine;
import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TideLine;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.phrase.TypedWords;
import farglass.time.Clock;
import farglass.time.MatchTime;
import farglass.work.publish.TagText;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** Watching and tagging one match. */
public final class FilmStation implements Station, Keys.Bound {
    private static final long PREVIEW_MS = 200;
    private static final String CLOCK = "record.clock";

    private final Desk desk;
    private final FilmView film = new FilmView();
    private final FilmChip chip = new FilmChip();
    private final FilmHead head;
    private final TideLine tide;
    private final RecordClock clock;
    private final RecordHead recordHead;
    private final RecordList list;
    private final PhraseLine phrase;
    private final Angles angles;
    private final FilmChoice choice;
    private final Looping looping = new Looping(film);
    private ClockFinder clockFinder;
    private Scored scored;
    private FilmDrafts drafts;
    private SkimPass skim;
    private Sketch sketch;
    private final TagEdits edits;
    private final ClockPhrase clocks;
    private final Keys keys;
    private final VBox page;
    private final StackPane over = new StackPane();
    private final FilmOpening opening;
    private final Passes passes;
    private String shownMatch;
    private String shownFile;
    private final Timeline matTicks = new Timeline(new KeyFrame(Duration.millis(100), e -> moved()));
    private final MatClock mat = new MatClock(System::nanoTime, runs -> {
        if (runs) {
            matTicks.play();
        } else {
            matTicks.stop();
        }
    });
    private final Watch watch;
    private final FilmSheets sheets;
    private final StackPane screen = new StackPane();
    private long lastPreview;

    public FilmStation(Desk desk) {
        this.desk = desk;
        this.head = new FilmHead(desk);
        this.tide = TideLine.large(desk.lexicon());
        this.angles = new Angles(desk);
        this.watch = new Watch(desk, film, angles, mat);
        this.clocks = new ClockPhrase(desk, film, angles);
        this.edits = new TagEdits(desk, this::selectionMoved);
        this.clock = new RecordClock(
                () -> desk.preferences().get(CLOCK).orElse(null),
                text -> desk.preferences().set(CLOCK, text));
        this.list = new RecordList(desk, clock, this::pick);
        this.recordHead = new RecordHead(clock, list::refresh);
        this.passes = new Passes(desk, edits::selected, this::pick);
        this.choice = new FilmChoice(desk, angles);
        this.opening = new FilmOpening(desk, film, angles, choice);
        this.phrase = new PhraseLine(desk.lexicon(), this::record, watch::stamp, desk::colour, this::keep);
        phrase.asks(passes::question, this::answer);
        this.keys = new FilmKeys(this).keys();
        tide.onSeek(this::seek);
        tide.onPick(this::pick);
        tide.words(i -> words(i));
        matTicks.setCycleCount(Animation.INDEFINITE);
        page = layout();
        over.getChildren().add(page);
        sheets = new FilmSheets(desk, film, angles, sketch, over, page, this::back);
        sheets.speaking().addListener((o, was, is) -> chip());
        desk.openRecord().addListener((o, was, is) -> show(is));
        desk.likely().addListener((o, was, is) -> phrase.model(is));
        desk.filmArrivedProperty().addListener((o, was, is) -> reopen(is));
        film.moment().addListener((o, was, is) -> moved());
        film.playing().addListener((o, was, is) -> chip());
        film.speed().addListener((o, was, is) -> chip());
        QuickCopy copy = new QuickCopy(desk, film);
        film.info().addListener((o, was, is) -> {
            if (is != null && record() != null && !record().films().isEmpty()) {
                copy.opened(angles.path(record()), is);
            }
        });
        film.onProblem(m -> desk.notices().problem(m));
        phrase.model(desk.likely().get());
        show(desk.openRecord().get());
    }

    private VBox layout() {
        sketch = new Sketch(desk, film, angles, this::back);
        screen.getChildren().addAll(film, sketch, chip, opening.make());
        screen.getStyleClass().add("screen");
        StackPane.setAlignment(chip, Pos.TOP_RIGHT);
        StackPane.setMargin(chip, new Insets(12));
        screen.setMinSize(0, 0);
        choice.acceptDrops(screen, f -> drafts.intake().captions(f));
        VBox record = Ui.sheet(Words.of("film.record"), recordHead, Ui.grow(list.view()));
        SidePages side = new SidePages(record);
        scored = new Scored(desk, film, angles, side);
        drafts = new FilmDrafts(desk, film, angles, watch, side, tide, clock, this::seek);
        scored.onCalls(drafts.intake()::score);
        skim = new SkimPass(desk, film, angles, watch, drafts);
        clockFinder = new ClockFinder(desk, film, angles, screen, scored, recordHead::film, this::back);
        HBox upper = new HBox(12);
        Gradual.parts(upper, Ui.grow(screen), side);
        VBox tideSheet = Ui.sheet(Words.of("film.tide"), new TideLegend(), Ui.grow(tide));
        tideSheet.setMinHeight(178);
        tideSheet.setMaxHeight(178);
        tideSheet.getStyleClass().add("tight");
        VBox box = new VBox(10, head, Ui.grow(upper), tideSheet, phrase);
        VBox.setVgrow(phrase, Priority.NEVER);
        box.setId("station-film");
        box.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (!KeyPointer.means(e)) {
                keys.handle(e);
            }
        });
        return box;
    }

    @Override
    public String name() {
        return "station.film";
    }

    @Override
    public Node view() {
        return over;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public ObservableValue<String> status() {
        return Bindings.createStringBinding(
                () -> desk.openRecord().get() == null
                        ? Words.of("film.status.none")
                        : Words.of("film.status", desk.openRecord().get().tags().size()),
                desk.openRecord());
    }

    @Override
    public void shown() {
        Gradual.focus(phrase.field());
    }

    @Override
    public void hidden() {
        if (film.player() != null) {
            film.player().pause();
        }
        // the match at the mat side goes on while another page is looked at: so does its clock
    }

    MatchRecord record() {
        return desk.openRecord().get();
    }

    FilmView film() {
        return film;
    }

    ClockFinder clockFinder() {
        return clockFinder;
    }

    /** What scored here, or the record again; a film that was not read yet is read first. */
    void whatScored() {
        if (scored.has(record())) {
            scored.toggle();
        } else {
            clockFinder.begin();
        }
    }

    Scored scored() {
        return scored;
    }

    FilmDrafts drafts() {
        return drafts;
    }

    PhraseLine phrase() {
        return phrase;
    }

    TagEdits edits() {
        return edits;
    }

    private void show(MatchRecord r) {
        if (r == null) {
            film.open(null, Words.of("film.none"));
            list.show(null, -1);
            tide.show(null, Corner.A, -1);
            drafts.show(null);
            return;
        }
        boolean other = !r.id().equals(shownMatch);
        if (other) {
            skim.leave();
            edits.select(-1);
            mat.stop();
            mat.set(MatchTime.ZERO);
        }
        if (other) {
            angles.to(0);
        }
        String file = r.films().isEmpty() ? null : angles.film(r).file();
        if (other || !Objects.equals(file, shownFile)) {
            shownMatch = r.id();
            shownFile = file;
            looping.forget();
            opening.open(r, MatchTime.ZERO);
            recordHead.film(null);
            if (file != null) {
                clockFinder.known(r);
                drafts.intake().beside(r);
            }
        }
        int selected = Math.min(edits.selected(), r.tags().size() - 1);
        list.show(r, selected);
        tide.show(r, desk.amber(r), selected);
        scored.changed(r);
        drafts.show(r);
        header(r);
        moved();
        phrase.moved();
        if (selected < 0) {
            revealNow();
        }
    }

    /** The match's next film, at the same match moment. */
    void nextAngle() {
        MatchRecord r = record();
        if (r == null || r.films().size() < 2) {
            desk.notices().done(Words.of("film.one-angle"));
            return;
        }
        MatchTime at = watch.now().orElse(MatchTime.ZERO);
        angles.to((angles.index(r) + 1) % r.films().size());
        shownFile = angles.film(r).file();
        looping.forget();
        opening.open(r, at);
        chip();
    }

    private void reopen(String match) {
        if (match != null && match.equals(shownMatch)) {
            opening.open(record(), MatchTime.ZERO);
        }
    }

    private void header(MatchRecord r) {
        head.show(r);
        recordHead.show(r, passes.progress(r));
    }

    Sketch sketch() {
        return sketch;
    }

    /** The clock of a match without film has been started, stopped or put elsewhere. */
    void clockMoved() {
        moved();
        phrase.moved();
    }

    private void moved() {
        chip();
        sketch.draw();
        tide.now(watch.now().orElse(null));
        long now = System.currentTimeMillis();
        if (now - lastPreview > PREVIEW_MS) {
            lastPreview = now;
            phrase.moved();
            if (film.playing().get() || mat.running()) {
                revealNow();
            }
        }
    }

    /** Match times in the record count the other way. */
    void turnClock() {
        recordHead.turn();
    }

    /** Brings the tag before the present moment into view. */
    private void revealNow() {
        MatchRecord r = record();
        Optional<MatchTime> t = watch.now();
        if (r == null || t.isEmpty()) {
            return;
        }
        int last = 0;
        for (int i = 0; i < r.tags().size() && r.tags().get(i).t().compareTo(t.get()) <= 0; i++) {
            last = i;
        }
        list.reveal(last);
    }

    private void chip() {
        chip.show(record(), angles, film, mat, looping);
        if (sheets != null && sheets.speaking().get()) {
            chip.setText(Words.of("talk.chip") + chip.getText());
        }
    }

    /** Goes to a match moment: on the film when it shows it, else on the tide line alone. */
    void seek(MatchTime t) {
        if (!watch.seek(t)) {
            moved();
        }
    }

    /** Selects a tag and goes to its moment. */
    public void show(int index) {
        pick(index);
    }

    void pick(int index) {
        edits.select(index);
        list.select(index);
        tide.select(index);
        seek(record().tags().get(index).t());
        phrase.moved();
    }

    private void answer(SecondPass.Question question, SecondPass.Choice choice) {
        passes.answer(question, choice);
        phrase.moved();
    }

    /** From the first pass over the match to the second, or back. */
    void changePass() {
        passes.toggle();
        if (record() != null) {
            header(record());
        }
        phrase.moved();
    }

    SkimPass skim() {
        return skim;
    }

    /** To the next draft; where none is open, to the next place to look at again. */
    public void next() {
        if (passes.second() || !drafts.step(1)) {
            passes.next();
        }
    }

    /** Takes back what was done last to the match or its drafts. */
    void undo() {
        if (!drafts.pass().undo()) {
            desk.undo();
        }
    }

    Passes passes() {
        return passes;
    }

    FilmChoice choice() {
        return choice;
    }

    /** Sound off or on. */
    void mute() {
        film.muted().set(!film.muted().get());
        chip();
    }

    FilmSheets sheets() {
        return sheets;
    }

    /** Gives the keyboard back to the phrase line. */
    private void back() {
        phrase.field().requestFocus();
    }

    private void selectionMoved() {
        list.select(edits.selected());
        tide.select(edits.selected());
    }

    private String words(int index) {
        MatchRecord r = record();
        Tag tag = r.tags().get(index);
        TagText text = TagText.of(r, tag, desk.lexicon());
        String who = text.who() == null ? "" : r.athlete(text.who()).surname() + ": ";
        return Clock.tenths(tag.t().ms()) + "  " + who + text.line();
    }

    private void keep(String text, List<Tag> tags) {
        if (TypedWords.clock(text)) {
            clocks.read(text);
        } else if (drafts.pass().correcting()) {
            drafts.pass().correct(tags);
        } else {
            edits.keep(tags, watch.inReplay());
        }
    }

    /** Says that the film shows this match moment now. */
    void sync(MatchTime t) {
        clocks.sync(t);
    }

    /** Puts a state change into the present span at the moment on screen. */
    void split() {
        watch.now().ifPresent(edits::split);
    }

    /** The selected tag once more, at the moment on screen. */
    void repeat() {
        watch.stamp().ifPresent(edits::repeat);
    }

    void correct() {
        Optional<String> begun = drafts.atWork() ? drafts.pass().beginCorrection() : edits.beginCorrection();
        begun.ifPresent(text -> {
            phrase.field().setText(text);
            phrase.field().end();
            phrase.field().requestFocus();
        });
    }

    MatClock mat() {
        return mat;
    }

    Looping looping() {
        return looping;
    }

    /** Starts the stopwatch at this frame, or puts it away. */
    void stopwatch() {
        looping.stopwatch();
        chip();
    }

    /** Frees the film when the window closes. */
    public void close() {
        film.close();
    }

    Desk desk() {
        return desk;
    }
}
