package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.match.PersonName;
import farglass.match.Result;
import farglass.profile.Comparison;
import farglass.tendency.Filter;
import farglass.text.CoreWords;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.scene.layout.VBox;

/** The athlete beside another, or beside the same under another filter: claim by claim, clear differences first. */
final class ComparePage extends VBox {
    private final Desk desk;
    private final StringProperty other = new SimpleStringProperty();
    private final ProfileFilters filters;
    private final PageList list;

    /** @param changed called when the other side is another one */
    ComparePage(Desk desk, PageList list, Runnable changed) {
        super(8);
        this.desk = desk;
        this.list = list;
        this.filters = new ProfileFilters(desk, other, "other-", changed, null);
        list.setId("compared");
        other.addListener((o, was, is) -> changed.run());
        getChildren().addAll(Ui.label(Words.of("versus.with"), "field-name"), filters, Ui.grow(list));
    }

    /** Fills the names in; the other side is our athlete, or whoever is not the one on the first. */
    void fill() {
        String first = desk.profiled().get();
        if (other.get() == null || !desk.athletes().containsKey(other.get())) {
            String us = desk.assignment().get() == null
                    ? null
                    : desk.assignment().get().us();
            other.set(
                    us != null && !us.equals(first) && desk.athletes().containsKey(us)
                            ? us
                            : desk.athletes().keySet().stream()
                                    .filter(id -> !id.equals(first))
                                    .findFirst()
                                    .orElse(first));
        }
        filters.fill();
    }

    String other() {
        return other.get();
    }

    Filter filter() {
        return filters.filter();
    }

    void show(Comparison c) {
        String a = desk.nameOf(desk.profiled().get());
        String b = desk.nameOf(other.get());
        boolean same = a.equals(b);
        List<PageRow> rows = new ArrayList<>();
        if (!same) {
            rows.add(new PageRow.Heading(Words.of("versus.meetings")));
            if (c.meetings().isEmpty()) {
                rows.add(new PageRow.Said(Words.of("versus.never-met")));
            }
            c.meetings().forEach(r -> rows.add(new PageRow.Said(meeting(r))));
        }
        rows.add(new PageRow.Heading(Words.of("versus.claims", c.rows().size())));
        if (c.rows().isEmpty()) {
            rows.add(new PageRow.Said(Words.of("versus.nothing")));
        }
        String nameA = same ? Words.of("versus.first") : surname(a);
        String nameB = same ? Words.of("versus.second") : surname(b);
        for (Comparison.Row r : c.rows()) {
            rows.add(new PageRow.Two(r.a(), r.b(), nameA, nameB, r.difference()));
        }
        list.set(rows);
    }

    private static String surname(String name) {
        return PersonName.last(name);
    }

    private String meeting(MatchRecord r) {
        Result result = r.details().result();
        String date = r.details().date() == null ? "" : Dates.words(r.details().date()) + ", ";
        String end = result == null
                ? Words.of("result.open")
                : result.winner() == null
                        ? Words.of("result.draw")
                        : Words.of(
                                "versus.won",
                                r.athlete(result.winner()).name(),
                                CoreWords.code(result.method().code()));
        return date + desk.rulesName(r.details().ruleset(), r.details().date()) + ": " + end;
    }
}
