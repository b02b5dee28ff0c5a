package farglass.desk.shell;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javafx.application.Application;

/** Paper by day, night watch in the dark: the same pieces and the same names of colours. */
public enum Theme {
    PAPER(new PrimerLight().getUserAgentStylesheet()),
    NIGHT(new PrimerDark().getUserAgentStylesheet());

    /** Where a library keeps which one was chosen. */
    public static final String PREFERENCE = "look.theme";

    private final String base;

    Theme(String base) {
        this.base = base;
    }

    /** The one that is named so; paper for anything else. */
    public static Theme named(String name) {
        return Arrays.stream(values())
                .filter(t -> t.name().equalsIgnoreCase(name))
                .findFirst()
                .orElse(PAPER);
    }

    /** The one in force: whose base sheet the toolkit has. */
    public static Theme current() {
        return NIGHT.base.equals(Application.getUserAgentStylesheet()) ? NIGHT : PAPER;
    }

    /** Puts it in force, for what is drawn and styled from now on. */
    public void use() {
        if (!base.equals(Application.getUserAgentStylesheet())) {
            Application.setUserAgentStylesheet(base);
        }
    }

    /** Addresses of our style sheets, in their order. */
    List<String> sheets() {
        Stream<String> names = this == NIGHT ? Stream.of("paper.css", "night.css") : Stream.of("paper.css");
        return names.map(s -> Theme.class.getResource("/farglass/desk/" + s).toExternalForm())
                .toList();
    }

    public Palette palette() {
        return this == NIGHT ? Palette.NIGHT : Palette.PAPER;
    }
}
