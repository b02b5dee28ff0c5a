package farglass.desk.shell;

import farglass.type.Typeface;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** Typefaces, and the colours of the theme in force. */
public final class Look {
    public static final String CONDENSED = "Barlow Condensed";
    public static final String CONDENSED_MEDIUM = "Barlow Condensed Medium";

    private static final double FONT_SIZE = 14;

    private Look() {}

    /** Loads the shipped faces and sets the base theme; once per process. */
    public static void load() {
        if (!LoadedFaces.LOADED) {
            throw new IllegalStateException("the typefaces are not loaded");
        }
    }

    /** Loaded when it is first looked at. */
    private static final class LoadedFaces {
        static final boolean LOADED = all();

        private static boolean all() {
            for (Typeface face : Typeface.values()) {
                try (InputStream in = face.open()) {
                    if (Font.loadFont(in, FONT_SIZE) == null) {
                        throw new IllegalStateException("typeface " + face + " cannot be loaded");
                    }
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }
            Theme.PAPER.use();
            return true;
        }
    }

    /** In the theme in force, at the usual size. */
    public static Scene scene(Parent root, double width, double height) {
        return scene(root, width, height, TextSize.PERCENT_100);
    }

    /** In the theme in force. */
    public static Scene scene(Parent root, double width, double height, TextSize size) {
        Parent shown = size == TextSize.PERCENT_100 ? root : new Zoomed(root, size.factor());
        Scene scene = new Scene(shown, width, height, paper());
        scene.getStylesheets().setAll(Theme.current().sheets());
        scene.getStylesheets().addAll(size.sheets());
        return scene;
    }

    private static Palette palette() {
        return Theme.current().palette();
    }

    public static Color paper() {
        return palette().paper();
    }

    public static Color sheet() {
        return palette().sheet();
    }

    public static Color ink() {
        return palette().ink();
    }

    public static Color soft() {
        return palette().soft();
    }

    public static Color rule() {
        return palette().rule();
    }

    public static Color ours() {
        return palette().ours();
    }

    /** Of words about our athlete. */
    public static Color oursText() {
        return palette().oursText();
    }

    public static Color oursWash() {
        return palette().oursWash();
    }

    public static Color theirs() {
        return palette().theirs();
    }

    public static Color theirsWash() {
        return palette().theirsWash();
    }

    public static Color alarm() {
        return palette().alarm();
    }
}
