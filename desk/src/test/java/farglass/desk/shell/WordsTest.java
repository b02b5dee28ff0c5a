package farglass.desk.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class WordsTest {
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("farglass.desk.Words", Locale.ENGLISH);
    private static final Pattern KEY = Pattern.compile("\"([a-z]+(?:[.-][a-z-]+)+)\"");

    private static Set<String> quoted() throws IOException {
        Set<String> found = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher m = KEY.matcher(Files.readString(p));
                while (m.find()) {
                    found.add(m.group(1));
                }
            }
        }
        return found;
    }

    @Test
    void everyKeyThatTheCodeAsksForIsThere() throws Exception {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher m = Pattern.compile("\\bWords\\.of\\(\\s*\"([^\"]+)\"\\s*[,)]")
                        .matcher(Files.readString(p));
                while (m.find()) {
                    assertThat(BUNDLE.containsKey(m.group(1)))
                            .as(m.group(1) + " in " + p)
                            .isTrue();
                }
            }
        }
    }

    @Test
    void noWordsAreLeftOver() throws Exception {
        Set<String> quoted = quoted();
        for (String key : BUNDLE.keySet()) {
            String stem = key.substring(0, key.lastIndexOf('.') + 1);
            boolean built = java.util.Set.of(
                            "film.kind.",
                            "scouting.",
                            "scouting.dangers.",
                            "scouting.openings.",
                            "profile.step.",
                            "sides.",
                            "lexicon.language.",
                            "library.kind.",
                            "mark.",
                            "drafts.fate.",
                            "drafts.source.",
                            "skim.asks.",
                            "attire.",
                            "look.",
                            "pass.asks.",
                            "kind.",
                            "award.",
                            "penalty.",
                            "season.kind.",
                            "read.kind.",
                            "severity.",
                            "check.verdict.",
                            "compare.",
                            "notes.column.",
                            "trainer.level.",
                            "theme.",
                            "curve.",
                            "filter.",
                            "filter.score.",
                            "filter.clock.",
                            "filter.role.",
                            "filter.lead.",
                            "filter.grade.")
                    .contains(stem);
            assertThat(built || quoted.contains(key)).as(key).isTrue();
        }
    }

    @Test
    void everyPatternIsOneThatCanBeFilled() {
        for (String key : BUNDLE.keySet()) {
            assertThat(new MessageFormat(BUNDLE.getString(key), Locale.ENGLISH).format(new Object[] {1, 2, 3, 4, 5}))
                    .as(key)
                    .doesNotContain("{");
        }
    }
}
