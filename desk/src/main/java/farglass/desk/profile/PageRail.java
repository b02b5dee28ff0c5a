package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.profile.Question;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** The pages of the station, each reached by its name. */
final class PageRail extends VBox {
    static final String CLAIMS = "CLAIMS";
    static final String CHART = "CHART";
    static final String COMPARE = "COMPARE";
    static final String REPORT = "REPORT";
    private static final double WIDTH = 148;

    private final List<String> pages = new ArrayList<>(List.of(CLAIMS, CHART));
    private final Consumer<String> open;
    private String here = CLAIMS;

    /** @param open called with the name of the page to show */
    PageRail(Desk desk, Consumer<String> open) {
        super(1);
        this.open = open;
        for (Question q : Question.values()) {
            pages.add(q.name());
        }
        pages.add(COMPARE);
        pages.add(REPORT);
        getStyleClass().add("page-rail");
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        for (String page : pages) {
            Button b = Ui.button(desk.claimWriter().name("page." + page), () -> go(page), "page-button");
            b.setId("page-" + page);
            b.setMaxWidth(Double.MAX_VALUE);
            getChildren().add(b);
        }
        mark();
    }

    String here() {
        return here;
    }

    void go(String page) {
        here = page;
        mark();
        open.accept(page);
    }

    /** The page so many further on, round and round. */
    void step(int by) {
        go(pages.get(Math.floorMod(pages.indexOf(here) + by, pages.size())));
    }

    /** Whether the page of its name is what is shown. */
    void shown(boolean page) {
        mark();
        if (!page) {
            getChildren().forEach(b -> b.getStyleClass().remove("here"));
        }
    }

    private void mark() {
        for (int i = 0; i < pages.size(); i++) {
            getChildren().get(i).getStyleClass().remove("here");
            if (pages.get(i).equals(here)) {
                getChildren().get(i).getStyleClass().add("here");
            }
        }
    }
}
