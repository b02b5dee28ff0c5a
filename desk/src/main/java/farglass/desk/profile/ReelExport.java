package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.reel.Clip;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Reel;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.MatchRecord;
import farglass.stats.Trial;
import farglass.store.table.ClipList;
import farglass.tendency.Claim;
import farglass.time.FilmTime;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Writes the moments a claim rests on as one film, with the list of its clips beside it (CSV and JSON). */
final class ReelExport {
    private static final long BEFORE_MS = 2500;
    private static final long AFTER_MS = 4500;
    private static final long SLOW_BEFORE_MS = 300;
    private static final long SLOW_AFTER_MS = 700;

    private static final Color OURS = new Color(0xb4640b);
    private static final Color THEIRS = new Color(0x0c6b76);
    private static final Color NEITHER = new Color(0xa63d2a);

    private final Desk desk;
    private final Function<Trial, String> describe;

    /** @param describe words for a moment */
    ReelExport(Desk desk, Function<Trial, String> describe) {
        this.desk = desk;
        this.describe = describe;
    }

    /** Encodes in the background with progress; the outcome is told in a notice. */
    void write(Claim claim, Path target) {
        String title = desk.claimWriter().sentence(claim);
        List<Clip> clips = new ArrayList<>();
        List<ClipList.Row> rows = new ArrayList<>();
        for (Trial t : claim.trials()) {
            clip(t, title).ifPresent(c -> {
                clips.add(c);
                rows.add(new ClipList.Row(
                        t.tag().match(),
                        t.tag().tag(),
                        c.film().toString(),
                        c.from().ms(),
                        c.to().ms(),
                        c.line()));
            });
        }
        if (clips.isEmpty()) {
            desk.notices().problem(Words.of("reel.none"));
            return;
        }
        int all = claim.trials().size();
        DrawingPainter painter = new DrawingPainter(who -> who == null ? NEITHER : who == Corner.A ? OURS : THEIRS);
        desk.background().longWork(Words.of("reel.writing"), (progress, cancelled) -> {
            try {
                if (new Reel(clips, painter).write(target, progress, cancelled)) {
                    ClipList list = new ClipList(title, rows);
                    Files.writeString(beside(target, ".csv"), list.csv());
                    Files.writeString(beside(target, ".json"), list.json());
                    desk.notices().done(Words.of("reel.done", target, clips.size(), all));
                }
            } catch (FilmException e) {
                desk.notices().problem(e.getMessage());
            } catch (IOException e) {
                desk.notices().problem(Words.of("export.failed", beside(target, ".csv"), e.getMessage()));
            }
        });
    }

    private static Path beside(Path target, String ending) {
        String name = target.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        return target.resolveSibling(name + ending);
    }

    private Optional<Clip> clip(Trial t, String title) {
        Optional<MatchRecord> r = desk.match(t.tag().match());
        if (r.isEmpty() || r.get().films().isEmpty() || !Files.exists(desk.filmPath(r.get()))) {
            return Optional.empty();
        }
        return r.get().clock().filmTimes(t.t()).stream().findFirst().map(f -> {
            long from = Math.max(0, f.ms() - BEFORE_MS);
            return new Clip(
                    desk.filmPath(r.get()),
                    FilmTime.ofMs(from),
                    f.plus(AFTER_MS),
                    FilmTime.ofMs(Math.max(from, f.ms() - SLOW_BEFORE_MS)),
                    f.plus(SLOW_AFTER_MS),
                    title,
                    describe.apply(t),
                    drawings(r.get()));
        });
    }

    /** The drawings of a film with corner A standing for the athlete drawn amber, whoever that is in this match. */
    private List<Drawing> drawings(MatchRecord r) {
        boolean swapped = desk.amber(r) == Corner.B;
        return Drawings.of(r.films().get(0)).stream()
                .map(d -> swapped ? d.swapped() : d)
                .toList();
    }
}
