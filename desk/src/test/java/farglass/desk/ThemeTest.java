package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.shell.Palette;
import farglass.desk.shell.Theme;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Both themes: words can be read on what lies under them, drawings have the colours of the style sheets. */
class ThemeTest extends DeskDriver {
    private static final Pattern TOKEN =
            Pattern.compile("^  (-[a-z-]+): (#[0-9A-F]{6}|rgba\\([^)]*\\)|#[0-9A-F]{8});$");
    /** Web Content Accessibility Guidelines 2.1, 1.4.3 and 1.4.11. */
    private static final double READABLE = 4.5;

    private static final double SEEN = 3;

    @AfterEach
    void paperAgain() throws Exception {
        onFx(() -> {
            Theme.PAPER.use();
            return null;
        });
    }

    private static Map<String, Color> tokens(String file) throws IOException {
        Map<String, Color> tokens = new LinkedHashMap<>();
        try (InputStream in = Theme.class.getResourceAsStream("/farglass/desk/" + file)) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                Matcher m = TOKEN.matcher(line);
                if (m.matches()) {
                    tokens.put(m.group(1), Color.web(m.group(2)));
                }
            }
        }
        return tokens;
    }

    private static Map<String, Color> tokens(Theme theme) throws IOException {
        Map<String, Color> all = tokens("paper.css");
        if (theme == Theme.NIGHT) {
            all.putAll(tokens("night.css"));
        }
        return all;
    }

    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double contrast(Color a, Color b) {
        double x = luminance(a) + 0.05;
        double y = luminance(b) + 0.05;
        return Math.max(x, y) / Math.min(x, y);
    }

    @ParameterizedTest
    @EnumSource(Theme.class)
    void wordsCanBeReadOnWhatLiesUnderThem(Theme theme) throws Exception {
        Map<String, Color> t = tokens(theme);
        Map<String, List<String>> under = new LinkedHashMap<>();
        for (String words : List.of("-ink", "-soft", "-ours-text", "-theirs", "-alarm", "-held", "-faint")) {
            under.put(words, List.of("-sheet", "-paper"));
        }
        under.put("-rail-text", List.of("-rail"));
        under.put("-rail-soft", List.of("-rail"));
        under.put("-bright", List.of("-notice", "-problem", "-screen"));
        under.forEach((words, grounds) -> grounds.forEach(g -> assertThat(contrast(t.get(words), t.get(g)))
                .as(words + " on " + g)
                .isGreaterThanOrEqualTo(READABLE)));
        for (String wash : List.of("-ours-wash", "-theirs-wash")) {
            assertThat(contrast(t.get("-ink"), t.get(wash)))
                    .as("ink on " + wash)
                    .isGreaterThanOrEqualTo(READABLE);
        }
        for (String ground : List.of("-ink", "-theirs")) {
            assertThat(contrast(t.get("-sheet"), t.get(ground)))
                    .as("a button's words")
                    .isGreaterThanOrEqualTo(READABLE);
        }
        assertThat(contrast(t.get("-ours"), t.get("-sheet"))).as("marks").isGreaterThanOrEqualTo(SEEN);
    }

    @ParameterizedTest
    @EnumSource(Theme.class)
    void drawingsHaveTheColoursOfTheStyleSheets(Theme theme) throws Exception {
        Map<String, Color> t = tokens(theme);
        Palette p = theme.palette();
        assertThat(List.of(p.paper(), p.sheet(), p.ink(), p.soft(), p.rule(), p.ours(), p.theirs(), p.alarm()))
                .containsExactly(
                        t.get("-paper"),
                        t.get("-sheet"),
                        t.get("-ink"),
                        t.get("-soft"),
                        t.get("-rule"),
                        t.get("-ours"),
                        t.get("-theirs"),
                        t.get("-alarm"));
        assertThat(p.oursText()).isEqualTo(t.get("-ours-text"));
        assertThat(contrast(p.ink(), p.oursWash())).isGreaterThanOrEqualTo(READABLE);
        assertThat(contrast(p.ink(), p.theirsWash())).isGreaterThanOrEqualTo(READABLE);
    }

    @Test
    void nightWatchNamesEveryColourOfPaperAnew() throws Exception {
        assertThat(tokens("night.css").keySet())
                .containsExactlyInAnyOrderElementsOf(tokens("paper.css").keySet());
    }

    @Test
    void aThemeIsChosenInTheSettingsAndKept() throws Exception {
        AtomicInteger anew = new AtomicInteger();
        desk.onAnew(anew::incrementAndGet);
        fire("#rail-settings");
        await("the sheet", () -> scene.lookup("#settings-sheet") != null);
        await("its chips", () -> scene.lookup("#theme-night") != null);
        fire("#theme-paper");
        assertThat(anew).as("as it is already").hasValue(0);
        fire("#theme-night");
        assertThat(anew).hasValue(1);
        assertThat(desk.preferences().get(Theme.PREFERENCE)).contains("night");
        assertThat(Theme.named("night")).isEqualTo(Theme.NIGHT);
        assertThat(Theme.named("neon")).isEqualTo(Theme.PAPER);
        press(KeyCode.ESCAPE);
        assertThat((Object) scene.lookup("#settings-sheet")).isNull();
    }

    @Test
    void inTheDarkTheWindowIsDark() throws Exception {
        onFx(() -> {
            Theme.NIGHT.use();
            shell = new Shell(desk);
            scene = farglass.desk.shell.Look.scene(shell.view(), 1280, 800);
            assertThat(scene.getFill()).isEqualTo(Theme.NIGHT.palette().paper());
            assertThat(scene.getStylesheets()).hasSize(2);
            assertThat(Theme.current()).isEqualTo(Theme.NIGHT);
            return null;
        });
    }
}
