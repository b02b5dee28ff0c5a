package farglass.desk.camp;

import farglass.camp.CardWriter;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.text.Language;
import farglass.time.Dates;
import farglass.work.publish.CampPublication;
import java.io.File;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The camp that follows from the plan. */
public final class CampStation implements Station, Keys.Bound {
    /** From so many days on the date says more than their number. */
    private static final long FAR = 120;

    private final Desk desk;
    private final MeetingModel meeting;
    private final CampModel model;
    private final Label question = Ui.label("", "question");
    private final Label minutes = Ui.label("", "headline-number");
    private final Label minutesNote = Ui.label("", "claim-interval");
    private final Label worth = Ui.label("", "headline-number");
    private final Label worthNote = Ui.label("", "claim-interval");
    private final Label shown = Ui.label("", "headline-number");
    private final Label shownNote = Ui.label("", "claim-interval");
    private final Label state = Ui.prose("", "soft");
    private final MinutesPage skills;
    private final CalendarPage calendar;
    private final LogPage log;
    private final SettingsPage settings;
    private final DrillsPage drills;
    private final CardView card;
    private final Pages pages = new Pages();
    private final Keys keys = new Keys();
    private final VBox view;
    /** Whether the pages are still as they were before the last camp. */
    private boolean stale;

    public CampStation(Desk desk, MeetingModel meeting) {
        this.desk = desk;
        this.meeting = meeting;
        this.model = new CampModel(desk, meeting);
        this.card = new CardView(desk, model);
        this.skills = new MinutesPage(desk, model, card::show);
        this.calendar = new CalendarPage(desk, model, card::show);
        this.log = new LogPage(model);
        this.drills = new DrillsPage(desk, model);
        this.settings = new SettingsPage(desk, model);
        keys.on("Ctrl+Z", "keys.undo", () -> desk.stepPlan(-1))
                .on("Ctrl+Shift+Z", "keys.redo", () -> desk.stepPlan(1))
                .on("F3", "matchup.keys.next", pages::next)
                .on("Alt+I", "camp.ics", () -> choose(".ics", this::writeIcs))
                .on("Alt+T", "camp.csv", () -> choose(".csv", this::writeCsv))
                .on("Ctrl+P", "camp.pdf", () -> choose(".pdf", this::writePdf));
        view = layout();
        view.setId("station-camp");
        view.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        model.ready().addListener((o, was, is) -> {
            stale = true;
            if (view.getScene() != null) {
                fill();
            }
        });
        model.trained().addListener((o, was, is) -> head());
        meeting.state().addListener((o, was, is) -> head());
        desk.plan().addListener((o, was, is) -> settings.fill());
        desk.assignment().addListener((o, was, is) -> head());
        fill();
    }

    private VBox layout() {
        HBox head = Ui.head(
                question,
                Ui.button(Words.of("plan.undo"), () -> desk.stepPlan(-1), "choice"),
                Ui.button(Words.of("plan.redo"), () -> desk.stepPlan(1), "choice"),
                Ui.button(Words.of("camp.ics"), () -> choose(".ics", this::writeIcs), "choice"),
                Ui.button(Words.of("camp.csv"), () -> choose(".csv", this::writeCsv), "choice"),
                Ui.button(Words.of("camp.pdf"), () -> choose(".pdf", this::writePdf), "strong-button"));
        HBox strip = new HBox(
                26,
                block("camp.minutes", minutes, minutesNote),
                block("camp.worth", worth, worthNote),
                block("camp.shown", shown, shownNote),
                Ui.grow(state));
        strip.setAlignment(Pos.CENTER_LEFT);
        strip.setId("camp-headline");
        pages.add("camp.page.minutes", Pages.scroll(skills))
                .add("camp.page.calendar", Pages.scroll(calendar))
                .add("camp.page.log", Pages.scroll(log))
                .add("camp.page.drills", drills)
                .add("camp.page.settings", Pages.scroll(settings));
        VBox left = Ui.sheet(Words.of("camp.sheet"), pages.chips(), Ui.grow(pages.middle()));
        card.setMinWidth(430);
        card.setMaxWidth(430);
        Label care = Ui.prose(CardWriter.care(Language.locale()), "claim-notes");
        care.setId("camp-care");
        HBox body = new HBox(12);
        Gradual.parts(body, Ui.grow(left), card);
        VBox whole = new VBox(10);
        Gradual.parts(whole, head, strip, Ui.grow(body), care);
        return whole;
    }

    private static Node block(String key, Label number, Label note) {
        HBox line = new HBox(7, number, note);
        line.setAlignment(Pos.BASELINE_LEFT);
        number.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        note.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        return new VBox(0, Ui.label(Words.of(key), "field-name"), line);
    }

    private void fill() {
        stale = false;
        head();
        skills.fill();
        calendar.fill();
        log.fill();
        drills.fill();
        settings.fill();
        card.fill();
    }

    private void head() {
        CampModel.Ready r = model.ready().get();
        boolean there = r != null;
        for (Label l : new Label[] {minutes, minutesNote, worth, worthNote, shown, shownNote}) {
            l.getParent().getParent().setVisible(there);
            l.getParent().getParent().setManaged(there);
        }
        state.setText(there ? "" : meeting.state().get());
        LocalDate event =
                desk.assignment().get() == null ? null : desk.assignment().get().date();
        long days = event == null ? 0 : ChronoUnit.DAYS.between(LocalDate.now(desk.clock()), event);
        question.setText(
                days > FAR
                        ? Words.of("camp.question.far", Dates.words(event))
                        : days > 0 ? Words.of("camp.question", days) : Words.of("camp.question.none"));
        if (!there) {
            return;
        }
        MeetingWriter w = model.writer();
        minutes.setText(Integer.toString(r.preparation().minutes()));
        minutesNote.setText(
                Words.of("camp.minutes.note", r.preparation().calendar().days().size()));
        worth.setText(w.gain(r.preparation().allocation().worth()));
        worthNote.setText(
                Words.of("camp.worth.note", w.gain(r.preparation().allocation().bound())));
        CampModel.Trained t = model.trained().get();
        shown.setText(t == null ? "" : w.gain(t.after() - t.before()));
        shownNote.setText(
                t == null
                        ? ""
                        : Words.of(
                                "camp.shown.note", r.camp().log().size(), w.percent(t.before()), w.percent(t.after())));
    }

    private void choose(String ending, java.util.function.Consumer<Path> write) {
        if (model.ready().get() == null) {
            desk.notices().done(Words.of("camp.not-yet"));
            return;
        }
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(desk.plan().get().id() + ".camp" + ending);
        File file = chooser.showSaveDialog(view.getScene().getWindow());
        if (file != null) {
            write.accept(file.toPath());
        }
    }

    /** Writes the days as an iCalendar; the outcome is told in a notice. */
    public void writeIcs(Path path) {
        desk.publisher().file(path, publication().calendar());
    }

    /** Writes the rounds as a table; the outcome is told in a notice. */
    public void writeCsv(Path path) {
        desk.publisher().file(path, publication().table());
    }

    /** Writes days and cards on paper; the outcome is told in a notice. */
    public void writePdf(Path path) {
        desk.publisher().file(path, publication().paper());
    }

    @Override
    public String name() {
        return "station.camp";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public void shown() {
        meeting.watch(true);
        if (stale) {
            fill();
        } else {
            head();
        }
    }

    @Override
    public void hidden() {
        meeting.watch(false);
        drills.pause();
    }

    @Override
    public ObservableValue<String> status() {
        return Bindings.createStringBinding(
                () -> model.ready().get() == null
                        ? Words.of("camp.status.none")
                        : Words.of(
                                "camp.status",
                                model.ready()
                                        .get()
                                        .preparation()
                                        .calendar()
                                        .days()
                                        .size(),
                                model.ready().get().camp().log().size()),
                model.ready());
    }

    private CampPublication publication() {
        CampModel.Ready ready = model.ready().get();
        return new CampPublication(
                desk.material(), desk.plan().get(), desk.assignment().get(), ready.preparation(), ready.cards());
    }
}
