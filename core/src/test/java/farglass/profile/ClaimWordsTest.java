package farglass.profile;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ClaimWordsTest {
    private static final ResourceBundle WORDS = ResourceBundle.getBundle("farglass.profile.Claims", Locale.ENGLISH);
    private static final Pattern SECTION = Pattern.compile("Section\\.of\\(\\s*\"([a-z.-]+)\"");

    @Test
    void everySectionHasATitleAndWordsForWhenItIsEmpty() throws Exception {
        int found = 0;
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/farglass/profile"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher m = SECTION.matcher(Files.readString(p));
                while (m.find()) {
                    found++;
                    assertThat(WORDS.containsKey(m.group(1))).as(m.group(1)).isTrue();
                    assertThat(WORDS.containsKey(m.group(1) + ".empty"))
                            .as(m.group(1) + ".empty")
                            .isTrue();
                }
            }
        }
        assertThat(found).isGreaterThan(30);
    }

    @Test
    void everyPageHasANameAndAQuestion() {
        for (Question q : Question.values()) {
            assertThat(WORDS.getString(q.key())).isNotBlank();
            assertThat(new ClaimWriter(Locale.ENGLISH).question(q.key(), "Tolendt"))
                    .contains("Tolendt")
                    .endsWith("?");
        }
    }

    @Test
    void everyPatternCanBeFilled() {
        for (String key : WORDS.keySet()) {
            String filled = new MessageFormat(WORDS.getString(key), Locale.ENGLISH)
                    .format(new Object[] {1, 2, 3, 4, 5, 6, 7, 8, 9});
            assertThat(filled).as(key).doesNotContain("{").doesNotContain("''");
        }
    }
}
