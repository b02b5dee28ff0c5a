package farglass.bench;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import java.util.Comparator;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** Reading a match record, against the JSON library making a bare tree of it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class RecordBench {
    private static final ObjectMapper JSON = new ObjectMapper();
    private final String document = MatchJson.write(DemoLibrary.matches(Lexicon.builtIn(), 1).stream()
            .max(Comparator.comparingInt(r -> r.tags().size()))
            .orElseThrow());

    @Benchmark
    public MatchRecord readRecord() throws FormatException {
        return MatchJson.read(document);
    }

    @Benchmark
    public JsonNode readTree() throws JsonProcessingException {
        return JSON.readTree(document);
    }
}
