package farglass.desk.shell;

import atlantafx.base.theme.PrimerLight;
import farglass.type.Typeface;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javafx.application.Application;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** LoadedFaces, colours and style sheet. */
public final class Look {
    public static final Color PAPER = Color.web("#F4EFE3");
    public static final Color SHEET = Color.web("#FCF9F1");
    public static final Color INK = Color.web("#1B2A34");
    public static final Color SOFT = Color.web("#5B6A72");
    public static final Color RULE = Color.web("#D9CFBB");
    public static final Color OURS = Color.web("#B4640B");
    public static final Color OURS_WASH = Color.web("#F6E7D0");
    public static final Color THEIRS = Color.web("#0C6B76");
    public static final Color THEIRS_WASH = Color.web("#DDECEB");
    public static final Color ALARM = Color.web("#A63D2A");
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
            Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
            return true;
        }
    }

    public static Scene scene(Parent root, double width, double height) {
        Scene scene = new Scene(root, width, height, PAPER);
        scene.getStylesheets()
                .add(Look.class.getResource("/farglass/desk/paper.css").toExternalForm());
        return scene;
    }
}
