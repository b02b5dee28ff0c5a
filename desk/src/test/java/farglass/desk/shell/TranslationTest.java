package farglass.desk.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The bundles of all modules, in every language, and sentences that stand in the code instead of in one. */
class TranslationTest {
    private static final String PORTUGUESE = "_pt_BR";
    private static final Pattern PLACE = Pattern.compile("\\{(\\d)");
    private static final Pattern WORD = Pattern.compile("\\p{L}{4,}");
    /** Values that are the same in both: names, and what is nobody's language. */
    private static final Set<String> SAME = Set.of(
            "app.title",
            "app.rail",
            "station.camp",
            "code.round",
            "code.frame",
            "code.sprawl",
            "steps.report.how",
            "plan.json");

    /** Is read out of what people say in English, and shown to nobody. */
    private static final String HEARD = "Speech.properties";

    private static List<Path> bundles() throws IOException {
        try (Stream<Path> files = Files.find(
                Path.of(".."),
                12,
                (p, a) -> p.toString().endsWith(".properties")
                        && p.toString().contains("src/main/resources/farglass")
                        && !p.getFileName().toString().matches(".*_(en|pt_BR)\\.properties")
                        && !p.endsWith(HEARD))) {
            return files.sorted().toList();
        }
    }

    private static Properties read(Path file) throws IOException {
        Properties words = new Properties();
        try (Reader in = Files.newBufferedReader(file)) {
            words.load(in);
        }
        return words;
    }

    private static Path in(String language, Path bundle) {
        return bundle.resolveSibling(bundle.getFileName().toString().replace(".properties", language + ".properties"));
    }

    private static Set<String> places(String pattern) {
        Set<String> found = new TreeSet<>();
        Matcher m = PLACE.matcher(pattern);
        while (m.find()) {
            found.add(m.group(1));
        }
        return found;
    }

    @Test
    void everyKeyIsThereInEveryLanguageAndSaysSomething() throws Exception {
        assertThat(bundles()).hasSizeGreaterThan(10);
        for (Path bundle : bundles()) {
            Properties english = read(bundle);
            Properties portuguese = read(in(PORTUGUESE, bundle));
            assertThat(portuguese.keySet()).as(bundle.toString()).isEqualTo(english.keySet());
            assertThat(read(in("_en", bundle)))
                    .as("keeps Java from another language")
                    .isEmpty();
            english.forEach((key, value) -> {
                assertThat(portuguese.get(key).toString().isBlank())
                        .as(bundle + ": " + key)
                        .isEqualTo(value.toString().isBlank());
                assertThat(places(portuguese.get(key).toString()))
                        .as(bundle + ": " + key)
                        .isEqualTo(places(value.toString()));
            });
        }
    }

    @Test
    void everyPatternCanBeFilledInEveryLanguage() throws Exception {
        for (Path bundle : bundles()) {
            for (Path file : List.of(bundle, in(PORTUGUESE, bundle))) {
                read(file).forEach((key, value) -> {
                    if (value.toString().contains("{")) {
                        assertThat(new MessageFormat(value.toString()).format(new Object[] {1, 2, 3, 4, 5, 6, 7, 8, 9}))
                                .as(file + ": " + key)
                                .doesNotContain("{");
                    }
                });
            }
        }
    }

    /** Of these bundles, words without a place to fill are shown as they stand: two apostrophes would be two. */
    private static final Set<String> AS_THEY_STAND = Set.of(
            "Words.properties",
            "Work.properties",
            "Print.properties",
            "Film.properties",
            "Store.properties",
            "Core.properties");

    @Test
    void noApostropheStandsTwice() throws Exception {
        List<String> doubled = new ArrayList<>();
        for (Path bundle : bundles()) {
            if (AS_THEY_STAND.contains(bundle.getFileName().toString())) {
                for (Path file : List.of(bundle, in(PORTUGUESE, bundle))) {
                    read(file).forEach((key, value) -> {
                        if (!value.toString().contains("{") && value.toString().contains("''")) {
                            doubled.add(file.getFileName() + ": " + key);
                        }
                    });
                }
            }
        }
        assertThat(doubled).isEmpty();
    }

    @Test
    void nothingIsLeftInEnglish() throws Exception {
        List<String> left = new ArrayList<>();
        for (Path bundle : bundles()) {
            Properties portuguese = read(in(PORTUGUESE, bundle));
            read(bundle).forEach((key, value) -> {
                String bare = value.toString().replaceAll("\\{[^{}]*\\}", "");
                if (WORD.matcher(bare).find() && value.equals(portuguese.get(key)) && !SAME.contains(key.toString())) {
                    left.add(bundle.getFileName() + ": " + key);
                }
            });
        }
        assertThat(left).isEmpty();
    }

    /** A sentence: from a capital letter over a blank and small words to its full stop. */
    private static final Pattern SENTENCE = Pattern.compile("\"[^\"]*[A-Z][a-z]+ [a-z]+ [^\"]*[.!?]\"");

    /** Texts for those who mend the program: never on screen, or never translated. */
    private static final Set<String> TECHNICAL = Set.of("ReportFile.java", "LogFile.java", "Shots.java");

    @Test
    void noSentenceStandsInTheCodeOfTheWindowOrOfWhatItTells() throws Exception {
        List<String> found = new ArrayList<>();
        for (String module : List.of("desk", "work", "print", "film", "core")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src/main/java"))) {
                for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    if (TECHNICAL.contains(p.getFileName().toString())
                            || p.toString().contains("simulate")) {
                        continue;
                    }
                    Matcher m = SENTENCE.matcher(Files.readString(p).replaceAll("(?m)^\\s*(//|\\*|/\\*).*$", ""));
                    while (m.find()) {
                        found.add(p.getFileName() + ": " + m.group());
                    }
                }
            }
        }
        assertThat(found).isEmpty();
    }
}
