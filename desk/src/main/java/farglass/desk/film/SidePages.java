package farglass.desk.film;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** What stands beside the film: the record, and in its place at times something else. */
final class SidePages extends StackPane {
    private static final double WIDTH = 330;
    private final Node home;

    /** @param home what is shown when nothing else is */
    SidePages(Node home) {
        this.home = home;
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        getChildren().add(home);
    }

    /** Another page, not shown yet. */
    void add(Node page) {
        page.setVisible(false);
        getChildren().add(page);
    }

    void show(Node page) {
        getChildren().forEach(n -> n.setVisible(n == page));
    }

    /** Puts a page away, if it is the one that is shown. */
    void leave(Node page) {
        if (page.isVisible()) {
            show(home);
        }
    }
}
