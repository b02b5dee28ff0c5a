package farglass;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SourceTest {
    private static final int WIDTH = 120;

    /** The formatter breaks code, not comments. */
    @Test
    void commentsStayWithinTheFormattersWidth() throws IOException {
        List<String> wide = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("..").toRealPath())) {
            for (Path p : files.filter(
                            p -> p.toString().endsWith(".java") && p.toString().contains("/src/"))
                    .toList()) {
                List<String> lines = Files.readAllLines(p);
                for (int i = 0; i < lines.size(); i++) {
                    String text = lines.get(i).strip();
                    boolean comment = text.startsWith("*") || text.startsWith("//") || text.startsWith("/*");
                    if (comment && lines.get(i).length() > WIDTH) {
                        wide.add(p + ":" + (i + 1));
                    }
                }
            }
        }
        assertThat(wide).isEmpty();
    }
}
