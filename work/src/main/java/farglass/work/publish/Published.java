package farglass.work.publish;

import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;

/**
 * What was written.
 *
 * @param files all of it, the main one first; empty when there was nothing to write
 * @param athletes ids of those it tells of; empty for everybody
 * @param told one sentence for the user
 */
public record Published(List<Path> files, Set<String> athletes, String told) {
    public Published {
        files = List.copyOf(files);
        athletes = Set.copyOf(athletes);
    }

    /** Nothing was written, for a reason that is no failure. */
    static Published nothing(String told) {
        return new Published(List.of(), Set.of(), told);
    }

    static Published file(Path target, Set<String> athletes) {
        return new Published(List.of(target), athletes, WorkWords.of("export.done", target));
    }
}
