package farglass.profile;

import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.RemarkKind;
import farglass.stats.Trial;
import farglass.tendency.Baseline;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * An athlete's own report: for a match or a period the recurring faults, each beside a correct example from another
 * film, and what was done well.
 *
 * @param faults most frequent first
 * @param praise most frequent first
 * @param matches matches looked at
 * @param exposureMs live time looked at
 */
public record Report(
        String athlete, String name, List<Fault> faults, List<Praise> praise, int matches, long exposureMs) {
    /**
     * A fault.
     *
     * @param subject in the words of the remarks
     * @param instead what should have been done, or empty
     * @param trials one per time; those that worked were punished
     * @param untold times at which nobody said whether it was punished
     * @param example where it was done right on another film, or empty
     */
    public record Fault(String subject, String instead, List<Trial> trials, int untold, Optional<Example> example) {
        /** Faults that cost something. */
        public long punished() {
            return trials.stream().filter(Trial::worked).count();
        }

        /** A fault that went free is still a fault. */
        public long unpunished() {
            return trials.size() - punished() - untold;
        }
    }

    /** @param own whether it is the athlete's own doing, and not another's */
    public record Example(Trial trial, String technique, boolean own, String who) {}

    public record Praise(String subject, List<Trial> trials) {}

    /** @param filter the match or the period; the example may lie outside it */
    public static Report of(LibraryIndex index, String athlete, Filter filter) {
        Evidence evidence = Evidence.of(index, athlete, filter);
        Map<String, List<Remarks.Said>> faults = group(Remarks.of(evidence, RemarkKind.ERROR));
        List<Fault> found = new ArrayList<>();
        faults.forEach((subject, said) -> found.add(fault(index, athlete, subject, said)));
        found.sort(Comparator.comparingInt((Fault f) -> f.trials().size())
                .reversed()
                .thenComparing(Fault::subject));
        List<Praise> praise = new ArrayList<>();
        group(Remarks.of(evidence, RemarkKind.PRAISE))
                .forEach((subject, said) -> praise.add(new Praise(subject, trials(said))));
        praise.sort(Comparator.comparingInt((Praise p) -> p.trials().size())
                .reversed()
                .thenComparing(Praise::subject));
        return new Report(
                athlete, index.name(athlete), found, praise, evidence.matches().size(), evidence.exposureMs());
    }

    private static Map<String, List<Remarks.Said>> group(List<Remarks.Said> said) {
        return said.stream()
                .collect(Collectors.groupingBy(Remarks.Said::subject, LinkedHashMap::new, Collectors.toList()));
    }

    private static List<Trial> trials(List<Remarks.Said> said) {
        return said.stream()
                .map(s ->
                        s.seen().trial(s.index(), Boolean.TRUE.equals(s.remark().punished())))
                .toList();
    }

    private static Fault fault(LibraryIndex index, String athlete, String subject, List<Remarks.Said> said) {
        String instead = said.stream()
                .map(Remarks.Said::instead)
                .filter(i -> !i.isEmpty())
                .findFirst()
                .orElse("");
        int untold =
                (int) said.stream().filter(s -> s.remark().punished() == null).count();
        Set<String> films = said.stream().map(s -> s.seen().record().id()).collect(Collectors.toSet());
        return new Fault(subject, instead, trials(said), untold, example(index, athlete, instead, films));
    }

    /** The latest time the alternative worked on another film: the athlete's own, else anybody's. */
    private static Optional<Example> example(LibraryIndex index, String athlete, String instead, Set<String> films) {
        Optional<String> technique = technique(index, instead);
        if (technique.isEmpty()) {
            return Optional.empty();
        }
        String code = technique.get();
        Optional<Example> own = example(index, athlete, code, films, true);
        // nobody is looked through for what nobody has done
        return own.isPresent() || Baseline.of(index, Filter.ALL).completed(code, athlete) == 0
                ? own
                : index.athletes().stream()
                        .filter(id -> !id.equals(athlete) && index.mayComplete(id, code))
                        .flatMap(id -> example(index, id, code, films, false).stream())
                        .findFirst();
    }

    private static Optional<Example> example(
            LibraryIndex index, String who, String technique, Set<String> films, boolean own) {
        List<Evidence.Act> worked = Evidence.of(index, who, Filter.ALL).ownWith(technique).stream()
                .filter(a -> a.action().completed()
                        && !films.contains(a.seen().record().id()))
                .toList();
        return worked.isEmpty()
                ? Optional.empty()
                : Optional.of(new Example(worked.get(worked.size() - 1).trial(), technique, own, index.name(who)));
    }

    private static Optional<String> technique(LibraryIndex index, String instead) {
        if (index.lexicon().technique(instead).isPresent()) {
            return Optional.of(instead);
        }
        return index.lexicon().lookUp(instead).stream()
                .filter(Technique.class::isInstance)
                .map(Term::code)
                .findFirst();
    }
}
