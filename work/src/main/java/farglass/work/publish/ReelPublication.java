package farglass.work.publish;

import farglass.film.FilmException;
import farglass.film.reel.Clip;
import farglass.film.reel.Reel;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.store.WholeFile;
import farglass.store.table.ClipList;
import farglass.work.words.WorkWords;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** Moments as one film, with the list of its clips beside it (CSV and JSON). */
public final class ReelPublication implements Publication {
    private final Material material;
    private final String title;
    private final List<Cut> cuts;
    private final boolean named;
    private final int most;
    private final List<Clip> clips = new ArrayList<>();
    private final List<ClipList.Row> rows = new ArrayList<>();
    private final Set<String> athletes = new HashSet<>();

    /**
     * @param title stands on every card that has no words of its own
     * @param named whether athletes and events are called by name
     */
    public ReelPublication(Material material, String title, List<Cut> cuts, boolean named) {
        this(material, title, cuts, named, Integer.MAX_VALUE);
    }

    /** @param most clips at the most, the first that are on film */
    public ReelPublication(Material material, String title, List<Cut> cuts, boolean named, int most) {
        this.material = material;
        this.title = title;
        this.cuts = List.copyOf(cuts);
        this.named = named;
        this.most = most;
    }

    /** Looks for the films of the moments, which may lie on a slow disk. */
    private void gather() {
        clips.clear();
        rows.clear();
        athletes.clear();
        MomentClip moments = new MomentClip(material, named);
        for (Cut cut : cuts) {
            if (clips.size() == most) {
                break;
            }
            material.match(cut.match()).ifPresent(r -> moments.of(r, cut, title).ifPresent(c -> add(r, cut, c)));
        }
    }

    private void add(MatchRecord r, Cut cut, Clip c) {
        clips.add(c);
        athletes.add(r.details().a().id());
        athletes.add(r.details().b().id());
        rows.add(new ClipList.Row(
                cut.match(), r.tagName(cut.tag()), c.film().toString(), c.from().ms(), c.to().ms(), c.line()));
    }

    /** How many of the moments were on a film that is there, once it has been written. */
    public int clips() {
        return clips.size();
    }

    @Override
    public Optional<Published> write(Path target, DoubleConsumer progress, BooleanSupplier cancelled)
            throws PublicationException {
        gather();
        if (clips.isEmpty()) {
            throw new PublicationException(WorkWords.of("reel.none"));
        }
        Path table = beside(target, ".csv");
        Path document = beside(target, ".json");
        try {
            if (!new Reel(clips, Material.painter(Corner.A)).write(target, progress, cancelled)) {
                return Optional.empty();
            }
        } catch (FilmException e) {
            throw new PublicationException(e.getMessage(), e);
        }
        try {
            ClipList list = new ClipList(title, rows);
            WholeFile.write(table, list.csv());
            WholeFile.write(document, list.json());
        } catch (IOException e) {
            throw PublicationException.of(table, e);
        }
        return Optional.of(new Published(
                List.of(target, table, document),
                athletes,
                WorkWords.of("reel.done", target, clips.size(), cuts.size())));
    }

    private static Path beside(Path target, String ending) {
        String name = target.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        return target.resolveSibling(name + ending);
    }
}
