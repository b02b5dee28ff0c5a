package farglass.desk.matchup;

import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.fit.KnownGame;
import farglass.text.CoreWords;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the opponent's analyst sees of us: habits in film that anybody can watch, and which film that is. */
final class KnownPage extends VBox {
    private static final int TOLD = 20;

    private final Desk desk;
    private final MeetingModel model;
    private final ClipView clip;

    KnownPage(Desk desk, MeetingModel model, ClipView clip) {
        super(6);
        this.desk = desk;
        this.model = model;
        this.clip = clip;
        setId("matchup-known-page");
        fill();
    }

    void fill() {
        KnownGame known = model.known();
        if (known == null || model.proposal().get() == null) {
            Gradual.anew(this, List.of(() -> Ui.empty(Words.of("matchup.empty"))));
            return;
        }
        MeetingWriter w = model.writer();
        List<Supplier<Node>> rows = new ArrayList<>();
        rows.add(() -> Ui.prose(Words.of("known.says", w.name(true), known.matches()), "body"));
        known.all().stream().limit(TOLD).forEach(s -> rows.add(() -> row(s, w)));
        rows.add(() -> Ui.label(Words.of("known.films"), "heading"));
        String us = desk.plan().get().us();
        desk.matches().stream()
                .filter(r -> r.cornerOf(us).isPresent())
                .sorted(Comparator.comparing(
                        (MatchRecord r) -> r.details().date(), Comparator.nullsFirst(Comparator.reverseOrder())))
                .forEach(r -> rows.add(() -> film(r)));
        Gradual.anew(this, rows);
    }

    private Node row(KnownGame.Seen s, MeetingWriter w) {
        HBox head = new HBox(
                8,
                Ui.label(w.technique(s.technique()), "pinned-sentence"),
                Ui.label(Words.of("known.from", w.place(s.place())), "body"),
                Ui.spring(),
                Ui.label(w.expectation(s), s.expectation() == KnownGame.Expectation.EXPECTED ? "weak" : "soft"),
                Ui.button(Words.of("matchup.play", s.tries()), () -> clip.playAll(Clips.of(desk, s.tags())), "quiet"));
        head.setAlignment(Pos.CENTER_LEFT);
        return new VBox(
                0,
                head,
                Ui.label(Words.of("known.counts", s.tries(), s.matches(), w.percent(s.share())), "claim-interval"));
    }

    /** A record of ours and whether outsiders can have seen it. */
    private Node film(MatchRecord r) {
        CheckBox open = new CheckBox(Words.of(
                "known.film",
                Dates.words(r.details().date()),
                String.valueOf(r.details().event()),
                CoreWords.code(r.kind().code())));
        open.setSelected(!r.isPrivate());
        open.setOnAction(e -> desk.edit(r.id(), new Edit.SetPrivate(r.isPrivate(), !r.isPrivate())));
        return open;
    }
}
