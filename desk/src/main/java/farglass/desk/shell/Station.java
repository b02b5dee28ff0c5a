package farglass.desk.shell;

import javafx.beans.value.ObservableValue;
import javafx.scene.Node;

/** One step of the work: a page that answers one question. */
public interface Station {
    /** Key of its name in the words. */
    String name();

    Node view();

    /** What it waits for or hands on, a few words. */
    ObservableValue<String> status();

    /** It has come into view. */
    default void shown() {}

    /** It has gone out of view: stop what moves. */
    default void hidden() {}
}
