package farglass.desk.shell;

import javafx.scene.Node;

/**
 * Work that a view needs only while it can be seen: asked for any number of times, done once when it comes into view.
 */
public final class WhenShown {
    private final Node view;
    private final Runnable work;
    private boolean stale;

    public WhenShown(Node view, Runnable work) {
        this.view = view;
        this.work = work;
        view.sceneProperty().addListener((o, was, is) -> {
            if (is != null && stale) {
                run();
            }
        });
    }

    /** Does the work now when the view is in the window, else when it comes there. */
    public void ask() {
        if (view.getScene() != null) {
            run();
        } else {
            stale = true;
        }
    }

    private void run() {
        stale = false;
        work.run();
    }
}
