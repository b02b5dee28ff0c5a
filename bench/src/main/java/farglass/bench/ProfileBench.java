package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** A whole profile from the records of the demo library. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ProfileBench {
    private final Lexicon lexicon = Lexicon.builtIn();
    private final List<MatchRecord> library = DemoLibrary.matches(lexicon, DemoLibrary.SEED);
    private final Filter filter = new Filter(null, null, null, null, Filter.DEFAULT_HALF_LIFE, null, true);

    @Benchmark
    public Profile profile() {
        return Profile.of(library, "brisa-tolendt", filter, lexicon, 1);
    }
}
