package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.text.CoreWords;
import farglass.time.Dates;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.shape.Rectangle;

/**
 * The station's question, what match it is, and who is who: letter, colour on the drawings, name, how to tell them
 * apart.
 */
final class FilmHead extends HBox {
    private final Desk desk;
    private final Label facts = Ui.label("", "soft");
    private final Wrapping legend = new Wrapping(14, Pos.CENTER_RIGHT);

    FilmHead(Desk desk) {
        super(14);
        this.desk = desk;
        setAlignment(Pos.CENTER_LEFT);
        facts.setWrapText(true);
        getChildren().add(Ui.grow(Ui.head(Ui.label(Words.of("film.question"), "question"), facts, legend)));
    }

    void show(MatchRecord r) {
        MatchRecord.Details d = r.details();
        String date = Dates.words(d.date());
        String kind =
                r.kind() == RecordKind.MATCH ? "" : Words.of("kind." + r.kind().code());
        String rules = desk.rulesName(d.ruleset(), d.date());
        // the name of many rules says what is worn
        String worn = d.attire() == null ? "" : CoreWords.code(d.attire());
        String attire = rules.endsWith(", " + worn) ? "" : worn;
        facts.setText(Stream.of(kind, d.event(), d.round(), date, attire, rules)
                .filter(s -> s != null && !s.isEmpty())
                .collect(Collectors.joining(", ")));
        legend.getChildren().clear();
        for (Corner c : Corner.values()) {
            String marker = r.athlete(c).marker() == null ? "" : r.athlete(c).marker();
            HBox one = new HBox(
                    6,
                    new Rectangle(12, 12, desk.colour(r, c)),
                    Ui.label(c.code() + "  " + r.athlete(c).surname(), "strong"),
                    Ui.label(marker, "soft"));
            one.setAlignment(Pos.CENTER_LEFT);
            legend.getChildren().add(one);
        }
    }
}
