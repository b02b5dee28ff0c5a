package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TextsTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String LETTERS = "ab-\u00e9\u4e16\"\\\n";

    private static List<String> read(List<String> texts) throws IOException {
        List<String> read = new ArrayList<>();
        byte[] document = JSON.writeValueAsString(texts).getBytes(StandardCharsets.UTF_8);
        try (JsonParser parser = MatchJson.JSON.createParser(document)) {
            parser.nextToken();
            while (parser.nextToken().isScalarValue()) {
                read.add(Texts.of(parser));
            }
        }
        return read;
    }

    /** More of them than have room, of any length, from two threads that overwrite each other's. */
    private static List<String> random(int seed) {
        Random random = new Random(seed);
        return IntStream.range(0, 20_000)
                .mapToObj(i -> {
                    StringBuilder text = new StringBuilder();
                    for (int k = random.nextInt(40); k > 0; k--) {
                        text.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
                    }
                    return text.toString();
                })
                .toList();
    }

    @Test
    void everyTextIsReadAsItStands() {
        IntStream.range(0, 8).parallel().forEach(seed -> {
            List<String> texts = random(seed % 4);
            try {
                assertThat(read(texts)).isEqualTo(texts);
            } catch (IOException e) {
                throw new AssertionError(e);
            }
        });
    }

    @Test
    void aCodeIsOneObjectHoweverOftenItStands() throws IOException {
        String sentence = "finished with the head up, as always";
        List<String> read = read(List.of("knee-cut", "left", "knee-cut", sentence, sentence));
        assertThat(read.get(2)).isSameAs(read.get(0));
        assertThat(read.get(1)).isEqualTo("left");
        assertThat(read.get(3)).isEqualTo(sentence);
    }
}
