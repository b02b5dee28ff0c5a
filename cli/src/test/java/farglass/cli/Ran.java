package farglass.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.stream.Stream;

/** A command as it was run: exit code, document, diagnostics. */
record Ran(int code, String out, String err) {
    static Ran of(Clock clock, Object... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code = CliMain.run(
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8),
                clock,
                Stream.of(args).map(Object::toString).toArray(String[]::new));
        return new Ran(code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    JsonNode json() throws JsonProcessingException {
        return new ObjectMapper().readTree(out);
    }
}
