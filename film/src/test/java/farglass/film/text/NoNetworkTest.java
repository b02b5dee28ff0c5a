package farglass.film.text;

import static org.assertj.core.api.Assertions.assertThat;

import ai.onnxruntime.OrtEnvironment;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What reads text is native code of others: it must have no way to speak to anybody. */
class NoNetworkTest {
    private static final String FOLDER = "/ai/onnxruntime/native/linux-x64/";

    @ParameterizedTest
    @ValueSource(strings = {"libonnxruntime.so", "libonnxruntime4j_jni.so"})
    void theModelsRunnerAsksTheSystemForNoConnection(String library) throws IOException {
        try (InputStream in = OrtEnvironment.class.getResourceAsStream(FOLDER + library)) {
            assertThat(in).as(library).isNotNull();
            // names of what a library asks the system for stand in it as they are
            String content = new String(in.readAllBytes(), StandardCharsets.ISO_8859_1);
            assertThat(content).as("is a library").contains("\0malloc\0");
            assertThat(content.contains("\0getaddrinfo\0")).as("looks up hosts").isFalse();
            assertThat(content.contains("\0connect\0")).as("opens connections").isFalse();
        }
    }
}
