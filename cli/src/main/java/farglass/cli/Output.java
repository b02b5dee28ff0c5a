package farglass.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.text.PlainLine;
import java.io.PrintStream;
import java.util.HexFormat;
import java.util.regex.Pattern;

/** Where the one JSON document of a command goes, as UTF-8 whatever the system's own letters are. */
record Output(PrintStream out, PrintStream err) {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Pattern STEERING =
            Pattern.compile("[\\u007f-\\u009f\\u061c\\u200b-\\u200f\\u2028-\\u202e\\u2060-\\u206f\\ufeff]");

    /** One line of diagnostics. */
    void say(String sentence) {
        err.println(PlainLine.message(sentence));
    }

    void print(Object document) {
        try {
            out.println(steerless(JSON.writerWithDefaultPrettyPrinter().writeValueAsString(document)));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What turns the direction of writing or steers a terminal stands in texts only, and is escaped there. */
    private static String steerless(String json) {
        return STEERING.matcher(json)
                .replaceAll(m -> "\\\\u" + HexFormat.of().toHexDigits(m.group().charAt(0)));
    }
}
