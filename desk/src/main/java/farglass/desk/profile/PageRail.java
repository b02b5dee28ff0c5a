package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.profile.Question;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** The pages of the station in three steps: the report, its figures, and the evidence one level down. */
final class PageRail extends VBox {
    static final String REPORT = "REPORT";
    static final String GAME = "GAME";
    static final String SIDES = "SIDES";
    static final String CHART = "CHART";
    static final String CLAIMS = "CLAIMS";
    static final String COMPARE = "COMPARE";
    static final String OWN_REPORT = "OWN_REPORT";
    private static final double WIDTH = 148;

    private final List<String> pages = new ArrayList<>();
    private final Map<String, Button> buttons = new LinkedHashMap<>();
    private final Map<String, Step> steps = new LinkedHashMap<>();
    private final Consumer<String> open;
    private final List<Node> all = new ArrayList<>();
    private String here = REPORT;

    /** A step with the pages under it; a step of one page is that page. */
    private record Step(Button button, List<String> pages) {}

    /** @param open called with the name of the page to show */
    PageRail(Desk desk, Consumer<String> open) {
        super(1);
        this.open = open;
        getStyleClass().add("page-rail");
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        add(desk, REPORT, List.of(REPORT));
        add(desk, "FIGURES", List.of(GAME, SIDES, CHART, Question.CHAINS.name(), Question.THEN_AND_NOW.name()));
        List<String> evidence = new ArrayList<>(List.of(CLAIMS));
        Arrays.stream(Question.values())
                .filter(q -> q != Question.CHAINS && q != Question.THEN_AND_NOW)
                .forEach(q -> evidence.add(q.name()));
        evidence.add(COMPARE);
        evidence.add(OWN_REPORT);
        add(desk, "EVIDENCE", evidence);
        mark();
        Gradual.parts(this, all.toArray(Node[]::new));
    }

    private void add(Desk desk, String step, List<String> under) {
        Button head = Ui.button(Words.of("profile.step." + step), () -> go(under.get(0)), "page-step");
        head.setMaxWidth(Double.MAX_VALUE);
        head.setId(under.size() == 1 ? "page-" + under.get(0) : "step-" + step);
        all.add(head);
        steps.put(step, new Step(head, under));
        pages.addAll(under);
        if (under.size() > 1) {
            for (String page : under) {
                Button b = Ui.button(desk.claimWriter().name("page." + page), () -> go(page), "page-button");
                b.setId("page-" + page);
                b.setMaxWidth(Double.MAX_VALUE);
                buttons.put(page, b);
                all.add(b);
            }
        }
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
            buttons.values().forEach(b -> b.getStyleClass().remove("here"));
            steps.values().forEach(s -> s.button().getStyleClass().remove("here"));
        }
    }

    /** The step of the page is open, the others show their name alone. */
    private void mark() {
        for (Step s : steps.values()) {
            boolean open = s.pages().contains(here);
            at(s.button(), open);
            for (String page : s.pages()) {
                Button b = buttons.get(page);
                if (b != null) {
                    b.setVisible(open);
                    b.setManaged(open);
                    at(b, page.equals(here));
                }
            }
        }
    }

    private static void at(Button b, boolean here) {
        b.getStyleClass().remove("here");
        if (here) {
            b.getStyleClass().add("here");
        }
    }
}
