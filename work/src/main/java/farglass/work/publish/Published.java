package farglass.work.publish;

import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;

/**
 * What was written.
 *
 * @param files all of it, the main one first
 * @param athletes ids of those it tells of; empty for everybody
 * @param told one sentence for the user
 */
public record Published(List<Path> files, Set<String> athletes, String told) {
    public Published {
        files = List.copyOf(files);
        athletes = Set.copyOf(athletes);
    }

    static Published file(Path target, Set<String> athletes) {
        return new Published(List.of(target), athletes, WorkWords.of("export.done", target));
    }
}
