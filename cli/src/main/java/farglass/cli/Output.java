package farglass.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintStream;

/** Where the one JSON document of a command goes. */
record Output(PrintStream out) {
    private static final ObjectMapper JSON = new ObjectMapper();

    void print(Object document) {
        try {
            out.println(JSON.writerWithDefaultPrettyPrinter().writeValueAsString(document));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
