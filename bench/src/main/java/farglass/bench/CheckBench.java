package farglass.bench;

import farglass.check.RecordCheck;
import farglass.lexicon.Lexicon;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** A training session of 2,000 tags scored, and scored and checked. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class CheckBench {
    private static final int TAGS = 2000;
    private final Lexicon lexicon = Lexicon.builtIn();
    private final Ruleset rules = Rulesets.builtIn().of("points-gi", null).orElseThrow();
    private final MatchRecord record = session();

    /** Demo matches one after the other, without their beginnings and ends. */
    private MatchRecord session() {
        List<Tag> tags = new ArrayList<>();
        long offset = 0;
        List<MatchRecord> all = DemoLibrary.matches(lexicon, DemoLibrary.SEED);
        for (int k = 0; tags.size() < TAGS; k++) {
            MatchRecord r = all.get(k % all.size());
            for (Tag t : r.tags()) {
                if (!(t instanceof Tag.End) && !(t instanceof Tag.Start) && tags.size() < TAGS) {
                    tags.add(t.at(MatchTime.ofMs(t.t().ms() + offset)).with(TagInfo.NONE));
                }
            }
            offset += r.end().ms() + 1000;
        }
        MatchRecord first = all.get(0);
        return new MatchRecord("session", RecordKind.ROUND, first.details(), List.of(), tags, Map.of());
    }

    @Benchmark
    public Score score() {
        return Scoring.of(record, rules, lexicon);
    }

    @Benchmark
    public List<Finding> scoreAndCheck() {
        return RecordCheck.findings(record, rules, lexicon);
    }
}
