package farglass.desk;

import farglass.text.Language;
import java.util.List;
import javafx.application.Application;

/** Starts the desk. Apart from {@link DeskApp}, so that the class path alone is enough to run it. */
public final class DeskMain {
    private DeskMain() {}

    public static void main(String[] args) {
        // drawing outside JavaFX (footage, pictures) must not look for a display of its own
        System.setProperty("java.awt.headless", "true");
        Language.ofSystem().use();
        LogFile.begin(Home.folder());
        Opening.begin(List.of(args));
        Application.launch(DeskApp.class, args);
    }
}
