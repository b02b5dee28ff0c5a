package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.DraftMark;
import farglass.desk.tide.TideLine;
import farglass.draft.Draft;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.Clock;
import farglass.time.MatchTime;
import farglass.work.publish.TagText;
import farglass.work.session.SessionListener;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import org.jspecify.annotations.Nullable;

/** Drafts in the film room: where they come from, their marks on the tide line, their sheet and the pass over them. */
final class FilmDrafts {
    private final Desk desk;
    private final TideLine tide;
    private final DraftPass pass;
    private final DraftIntake intake;
    private final DraftSheet sheet;
    private final Button others;
    private @Nullable String match;

    FilmDrafts(
            Desk desk,
            FilmView film,
            Angles angles,
            Watch watch,
            SidePages side,
            TideLine tide,
            RecordClock clock,
            Consumer<MatchTime> seek) {
        this.desk = desk;
        this.tide = tide;
        this.pass = new DraftPass(desk, film, angles, watch, seek);
        this.intake = new DraftIntake(desk, angles, this::open);
        this.others = Ui.button(Words.of("drafts.others.take"), intake::fromOthers, "choice");
        Button captions = Ui.button(
                Words.of("drafts.captions"), () -> intake.choose(side.getScene().getWindow()), "choice");
        captions.setId("drafts-captions");
        captions.setFocusTraversable(false);
        others.setId("drafts-others");
        others.setFocusTraversable(false);
        this.sheet = new DraftSheet(desk, pass, side, clock, List.of(captions, others));
        pass.listen(this::marks);
        tide.onDraft(
                i -> {
                    open();
                    pass.show(pass.asked().get(i));
                },
                this::words);
        desk.session().listen(new SessionListener() {
            @Override
            public void draftsChanged(String of) {
                if (of.equals(match)) {
                    pass.changed();
                }
            }
        });
    }

    DraftPass pass() {
        return pass;
    }

    DraftIntake intake() {
        return intake;
    }

    /** Whether the pass is at work: its sheet is shown and a draft is in hand. */
    boolean atWork() {
        return sheet.shown() && pass.inHand().isPresent();
    }

    private void open() {
        intake.clock();
        others.setVisible(!intake.others().isEmpty());
        others.setManaged(others.isVisible());
        sheet.open();
    }

    /** Shows what is proposed, if anything is. */
    void begin() {
        if (!pass.asked().isEmpty()) {
            open();
        }
    }

    /** Shows what is proposed, or the record again. */
    void toggle() {
        if (sheet.shown()) {
            sheet.close();
        } else {
            open();
        }
    }

    boolean shown() {
        return sheet.shown();
    }

    void close() {
        sheet.close();
    }

    /** The record is another version, or another match is open. */
    void show(@Nullable MatchRecord r) {
        String now = r == null ? null : r.id();
        if (now == null || !now.equals(match)) {
            match = now;
            pass.leave();
            sheet.close();
        } else {
            pass.changed();
        }
    }

    /** To the next draft or the one before; false when none is open. */
    boolean step(int by) {
        if (!sheet.shown()) {
            intake.clock();
        }
        if (pass.asked().isEmpty()) {
            return false;
        }
        open();
        pass.step(by);
        return true;
    }

    private void marks() {
        String inHand = sheet.shown() ? pass.inHand().map(Draft::id).orElse(null) : null;
        MatchRecord r = desk.openRecord().get();
        tide.drafts(
                r == null
                        ? List.of()
                        : pass.asked().stream().map(d -> mark(r, d, inHand)).toList());
    }

    private DraftMark mark(MatchRecord r, Draft d, @Nullable String inHand) {
        String family = d.tag() instanceof Tag.Action a ? desk.lexicon().familyOf(a.technique()) : null;
        return new DraftMark(
                d.tag().t(),
                TagText.of(r, d.tag(), desk.lexicon()).who(),
                family,
                d.confidence(),
                d.id() != null && d.id().equals(inHand));
    }

    private String words(int draft) {
        Draft d = pass.asked().get(draft);
        TagText text = TagText.of(desk.openRecord().get(), d.tag(), desk.lexicon());
        String who = text.who() == null
                ? ""
                : desk.openRecord().get().athlete(text.who()).surname() + ": ";
        return Words.of(
                "drafts.mark",
                Clock.tenths(d.tag().t().ms()) + "  " + who + text.line(),
                Math.round(100 * d.confidence()));
    }
}
