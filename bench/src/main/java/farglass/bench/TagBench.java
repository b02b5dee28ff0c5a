package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.TagIds;
import farglass.phrase.Context;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.time.MatchTime;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.Statement;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;

/** A typed phrase until its tag is on disk, against one bare insert with the same guarantee. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class TagBench {
    private final Lexicon lexicon = Lexicon.builtIn();
    private final PhraseReader reader = new PhraseReader(lexicon);
    private Library library;
    private MatchRecord record;
    private Connection plain;
    private PreparedStatement insert;
    private int n;

    @Setup(Level.Iteration)
    public void open() throws Exception {
        Path folder = Files.createTempDirectory("farglass-bench");
        library = Library.open(folder.resolve("l.farglass"), Clock.systemUTC());
        record = DemoLibrary.matches(lexicon, 1).get(0);
        library.add(record);
        plain = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("plain.db"));
        try (Statement s = plain.createStatement()) {
            s.execute("PRAGMA journal_mode = WAL");
            s.execute("PRAGMA synchronous = FULL");
            s.execute("CREATE TABLE t (n INTEGER PRIMARY KEY, text TEXT)");
        }
        insert = plain.prepareStatement("INSERT INTO t (text) VALUES (?)");
    }

    @TearDown(Level.Iteration)
    public void close() throws Exception {
        library.close();
        plain.close();
    }

    @Benchmark
    public MatchRecord phraseToDisk() throws Exception {
        MatchTime t = MatchTime.ofMs(1000 + 37L * (n++ % 5000));
        Context here = new Context(
                record, t, PositionLine.of(record, lexicon).current(t).orElse(null));
        Reading reading = reader.read("b knee cut right near", here);
        MatchRecord next = library.apply(record.id(), Edit.addAll(record, TagIds.name(record, reading.tags())));
        // the record stays the same size, so that the figure does not depend on how long the run was
        record = library.undo(next.id()).orElseThrow();
        return next;
    }

    @Benchmark
    public int plainInsert() throws Exception {
        insert.setString(1, "b knee cut right near " + n++);
        return insert.executeUpdate();
    }
}
