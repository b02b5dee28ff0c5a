package farglass.work.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class WorkWordsTest {
    private static final Pattern QUOTED = Pattern.compile("\"([a-z]+(?:[.-][a-z-]+)+)\"");
    private static final Pattern ASKED = Pattern.compile("WorkWords\\.of\\(\\s*\"([^\"]+)\"");

    @Test
    void theCodeAsksForEveryKeyAndForNoOther() throws Exception {
        Set<String> quoted = new TreeSet<>();
        Set<String> asked = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                String text = Files.readString(p);
                QUOTED.matcher(text).results().forEach(m -> quoted.add(m.group(1)));
                Matcher m = ASKED.matcher(text);
                while (m.find()) {
                    asked.add(m.group(1));
                }
            }
        }
        Set<String> there =
                ResourceBundle.getBundle("farglass.work.Work", Locale.ENGLISH).keySet();
        assertThat(there).containsAll(asked);
        assertThat(quoted).containsAll(there);
    }

    @Test
    void anErrorOfTheMachineIsToldInWords() {
        assertThat(WorkWords.unexpected(new OutOfMemoryError())).contains("not enough memory");
        assertThat(WorkWords.unexpected(new StackOverflowError())).contains("StackOverflowError");
    }
}
