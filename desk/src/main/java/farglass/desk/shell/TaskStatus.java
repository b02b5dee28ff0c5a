package farglass.desk.shell;

import farglass.work.task.Tasks;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;

/** The long task that runs, as properties to bind to. */
public final class TaskStatus {
    private final StringProperty name = new SimpleStringProperty("");
    private final DoubleProperty share = new SimpleDoubleProperty();

    TaskStatus(Tasks tasks) {
        tasks.onProgress(running -> {
            name.set(running.name());
            share.set(running.share());
        });
    }

    /** Name of the long task that runs, empty when none does. */
    public ReadOnlyStringProperty name() {
        return name;
    }

    /** How much of it is done, 0 to 1. */
    public ReadOnlyDoubleProperty share() {
        return share;
    }
}
