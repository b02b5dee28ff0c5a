package farglass.bench.clip;

import farglass.film.studio.Lettering;
import farglass.type.Typeface;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Typefaces of the machine that hold capitals and digits, or our own where it has none. */
final class Faces {
    private static final String MUST = "AEIORSTZ0123456789:.";
    /** Faces that draw signs, or letters of other scripts only. */
    private static final List<String> SIGNS = List.of("symbol", "emoji", "dingbat", "icon", "math", "braille", "music");

    private final List<Path> files;

    /** @param letters null for our own typefaces */
    record Face(String name, Lettering letters) {}

    /** @param folder searched with all that lies below it */
    Faces(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            files = List.of();
            return;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            files = all.filter(p -> p.toString().endsWith(".ttf"))
                    .filter(p -> SIGNS.stream()
                            .noneMatch(s -> p.getFileName()
                                    .toString()
                                    .toLowerCase(Locale.ROOT)
                                    .contains(s)))
                    .sorted()
                    .toList();
        }
    }

    Face any(Random random) {
        List<Path> left = new ArrayList<>(files);
        while (!left.isEmpty()) {
            Path p = left.remove(random.nextInt(left.size()));
            Lettering letters = letters(p);
            if (letters != null && letters.has(MUST)) {
                String file = p.getFileName().toString();
                return new Face(file.substring(0, file.length() - 4), letters);
            }
        }
        Typeface own = List.of(Typeface.values()).get(random.nextInt(Typeface.values().length));
        return new Face(own.name(), new Lettering(own));
    }

    private static @Nullable Lettering letters(Path file) {
        try {
            return Lettering.of(file);
        } catch (IOException e) {
            // another is taken
            return null;
        }
    }
}
