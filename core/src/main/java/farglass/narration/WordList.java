package farglass.narration;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Lists of words that ship with the reader. */
final class WordList {
    private WordList() {}

    /** The lines of a list without its remarks. */
    static List<String> lines(String name) {
        try (InputStream in = WordList.class.getResourceAsStream(name);
                BufferedReader file =
                        new BufferedReader(new InputStreamReader(Objects.requireNonNull(in), StandardCharsets.UTF_8))) {
            return file.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The words of a list. */
    static Set<String> read(String name) {
        return lines(name).stream().flatMap(l -> Stream.of(l.split(" "))).collect(Collectors.toUnmodifiableSet());
    }
}
