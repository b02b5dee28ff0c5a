package farglass.desk.profile;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** Where the pages of a profile are shown, one at a time; one that is being worked out says so. */
final class PageArea extends StackPane {
    /** Name of the page that is shown, or is being worked out; null before. */
    private String inSight;
    /** Whether what was put away while a page is worked out had the keyboard. */
    private boolean waitingFocus;

    /** Shows words in place of a page. */
    void empty(String words) {
        inSight = null;
        getChildren().setAll(Ui.empty(words));
    }

    /**
     * Another page than the one in sight says that it is being worked out, so that nothing stands under a false name.
     *
     * @return whether it is another one
     */
    boolean working(String wanted) {
        if (wanted.equals(inSight)) {
            return false;
        }
        waitingFocus |= hasFocus();
        getChildren().setAll(Ui.empty(Words.of("profile.working")));
        inSight = wanted;
        return true;
    }

    void show(Node page) {
        if (getChildren().isEmpty() || getChildren().get(0) != page) {
            boolean had = getChildren().isEmpty() || waitingFocus || hasFocus();
            waitingFocus = false;
            getChildren().setAll(page);
            if (had) {
                // else the keyboard would go to nobody
                page.requestFocus();
            }
        }
    }

    private boolean hasFocus() {
        Node n = getScene() == null ? null : getScene().getFocusOwner();
        while (n != null && n != this) {
            n = n.getParent();
        }
        return n != null;
    }
}
