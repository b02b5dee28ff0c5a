package farglass.work.publish;

import farglass.film.reel.Clip;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.FilmTime;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Cuts moments out of the films that are there. */
final class MomentClip {
    private static final long SLOW_BEFORE_MS = 300;
    private static final long SLOW_AFTER_MS = 700;

    private final Material material;
    private final boolean named;

    /** @param named whether athletes and events are called by name */
    MomentClip(Material material, boolean named) {
        this.material = material;
        this.named = named;
    }

    /**
     * A moment on the first film of its match that is there and shows it live.
     *
     * @param title on the card, where the cut has no words of its own
     */
    Optional<Clip> of(MatchRecord r, Cut cut, String title) {
        Tag tag = r.tags().get(cut.tag());
        for (FilmRef film : r.films()) {
            Path path = material.film(film);
            Optional<FilmTime> at = film.map().filmTimes(tag.t()).stream().findFirst();
            if (at.isPresent() && Files.exists(path)) {
                FilmTime f = at.get();
                long from = Math.max(0, f.ms() - cut.beforeMs());
                FilmTime slowFrom = FilmTime.ofMs(Math.max(from, f.ms() - SLOW_BEFORE_MS));
                return Optional.of(new Clip(
                        path,
                        FilmTime.ofMs(from),
                        f.plus(cut.afterMs()),
                        cut.slow() ? slowFrom : null,
                        cut.slow() ? f.plus(Math.min(SLOW_AFTER_MS, cut.afterMs())) : null,
                        cut.card() == null ? title : cut.card(),
                        caption(r, cut.tag()),
                        drawings(r, film)));
            }
        }
        return Optional.empty();
    }

    private String caption(MatchRecord r, int tag) {
        return named
                ? MomentCaption.of(r, tag, material.lexicon())
                : MomentCaption.nameless(r, tag, material.lexicon(), material.amber(r));
    }

    /** The drawings of a film with corner A standing for the athlete drawn amber, whoever that is in this match. */
    private List<Drawing> drawings(MatchRecord r, FilmRef film) {
        boolean swapped = material.amber(r) == Corner.B;
        return Drawings.of(film).stream().map(d -> swapped ? d.swapped() : d).toList();
    }
}
