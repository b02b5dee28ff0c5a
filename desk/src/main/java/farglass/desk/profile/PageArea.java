package farglass.desk.profile;

import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** Where the pages of a profile are shown, one at a time; one that is being worked out says so. */
final class PageArea extends StackPane {
    /** The page that is shown or about to be; null while there is none. */
    private Node shown;
    /** Name of the page that is shown, or is being worked out; null before. */
    private String inSight;
    /** Whether what was put away while a page is worked out had the keyboard. */
    private boolean waitingFocus;

    /** Shows words in place of a page. */
    void empty(String words) {
        inSight = null;
        say(words);
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
        say(Words.of("profile.working"));
        inSight = wanted;
        return true;
    }

    private void say(String words) {
        shown = null;
        Gradual.anew(this, List.of(() -> Ui.empty(words)));
    }

    void show(Node page) {
        if (shown != page) {
            shown = page;
            boolean had = getChildren().isEmpty() || waitingFocus || hasFocus();
            waitingFocus = false;
            Gradual.anew(this, List.of(() -> page));
            if (had) {
                // else the keyboard would go to nobody
                Gradual.afterwards(this, page::requestFocus);
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
