package farglass.work.publish;

import farglass.film.reel.MomentStill;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.print.Basis;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.time.MatchTime;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/** Pictures of moments for paper, with what is drawn on them. */
final class MomentPictures {
    private static final int TRIES = 3;

    private final Material material;
    private final MomentStill stills;
    private final int width;
    private final int height;
    private final BooleanSupplier cancelled;

    /** @param width of a picture, pixels */
    MomentPictures(Material material, int width, int height, BooleanSupplier cancelled) {
        this.material = material;
        this.stills = new MomentStill(material::film, r -> Material.painter(material.amber(r)));
        this.width = width;
        this.height = height;
        this.cancelled = cancelled;
    }

    record Shown(BufferedImage image, String caption) {}

    /** A moment that worked, else any; the newest that has film. */
    Optional<Shown> best(List<Trial> trials) {
        List<Trial> order =
                new ArrayList<>(trials.stream().filter(Trial::worked).toList());
        trials.stream().filter(t -> !t.worked()).forEach(t -> order.add(0, t));
        int tried = 0;
        for (int i = order.size() - 1; i >= 0 && tried < TRIES; i--) {
            Trial trial = order.get(i);
            Optional<MatchRecord> match =
                    material.match(trial.tag().match()).filter(r -> !r.films().isEmpty());
            if (match.isPresent()) {
                tried++;
                Optional<BufferedImage> image = at(match.get(), trial.t());
                if (image.isPresent()) {
                    return Optional.of(new Shown(image.get(), Basis.moment(match.get(), trial.t())));
                }
            }
        }
        return Optional.empty();
    }

    /** Null when no film shows it. */
    @Nullable
    BufferedImage of(Trial t) {
        return material.match(t.tag().match()).flatMap(r -> at(r, t.t())).orElse(null);
    }

    /** Null when no film shows it, or the tag is gone. */
    @Nullable
    BufferedImage of(TagRef ref) {
        return material.match(ref.match())
                .flatMap(r -> Moments.tag(r, ref).map(Tag::t).flatMap(t -> at(r, t)))
                .orElse(null);
    }

    private Optional<BufferedImage> at(MatchRecord r, MatchTime t) {
        return cancelled.getAsBoolean() ? Optional.empty() : stills.of(r, t, width, height, cancelled);
    }

    String where(Trial t) {
        return material.match(t.tag().match())
                .map(r -> Basis.moment(r, t.t()))
                .orElse(t.tag().match());
    }
}
