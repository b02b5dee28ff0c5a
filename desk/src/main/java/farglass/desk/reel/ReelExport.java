package farglass.desk.reel;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.reel.Clip;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Reel;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.store.WholeFile;
import farglass.store.table.ClipList;
import farglass.time.Clock;
import farglass.time.FilmTime;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Writes moments as one film, with the list of its clips beside it (CSV and JSON). */
public final class ReelExport {
    private static final long SLOW_BEFORE_MS = 300;
    private static final long SLOW_AFTER_MS = 700;

    private static final Color OURS = new Color(0xb4640b);
    private static final Color THEIRS = new Color(0x0c6b76);
    private static final Color NEITHER = new Color(0xa63d2a);

    private final Desk desk;

    public ReelExport(Desk desk) {
        this.desk = desk;
    }

    /** What draws on the pictures of a match. */
    public static DrawingPainter painter(Corner amber) {
        return new DrawingPainter(who -> who == null ? NEITHER : who == amber ? OURS : THEIRS);
    }

    /**
     * Encodes in the background with progress; the outcome is told in a notice.
     *
     * @param title stands on every card that has no words of its own
     * @param named whether athletes and events are called by name
     */
    public void write(String title, List<Cut> cuts, boolean named, Path target) {
        List<Clip> clips = new ArrayList<>();
        List<ClipList.Row> rows = new ArrayList<>();
        Set<String> shown = new HashSet<>();
        for (Cut cut : cuts) {
            Optional<MatchRecord> match = desk.match(cut.match());
            Optional<Clip> clip = match.flatMap(r -> clip(r, cut, title, named));
            clip.ifPresent(c -> {
                clips.add(c);
                shown.add(match.get().details().a().id());
                shown.add(match.get().details().b().id());
                rows.add(new ClipList.Row(
                        cut.match(),
                        match.get().tagName(cut.tag()),
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
        int all = cuts.size();
        DrawingPainter painter = painter(Corner.A);
        desk.tasks().export(Words.of("reel.writing"), (progress, cancelled) -> {
            try {
                if (new Reel(clips, painter).write(target, progress, cancelled)) {
                    ClipList list = new ClipList(title, rows);
                    WholeFile.write(beside(target, ".csv"), list.csv());
                    WholeFile.write(beside(target, ".json"), list.json());
                    desk.exported(shown, target, beside(target, ".csv"), beside(target, ".json"));
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

    /** A moment on the first film of its match that is there and shows it live. */
    public Optional<Clip> clip(MatchRecord r, Cut cut, String title, boolean named) {
        Tag tag = r.tags().get(cut.tag());
        for (FilmRef film : r.films()) {
            Path path = desk.filmPath(film);
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
                        named ? describe(r, cut.tag()) : nameless(r, tag),
                        drawings(r, film)));
            }
        }
        return Optional.empty();
    }

    /** Who, when and what, in one line. */
    public String describe(MatchRecord r, int index) {
        Tag tag = r.tags().get(index);
        TagText text = TagText.of(r, tag, desk.lexicon());
        String date = r.details().date() == null ? "" : r.details().date() + ", ";
        return Words.of(
                "clip.caption",
                r.details().a().surname(),
                r.details().b().surname(),
                date,
                Clock.tenths(tag.t().ms()),
                text.line());
    }

    /** The same without a name, a date or an event. */
    private String nameless(MatchRecord r, Tag tag) {
        TagText text = TagText.of(r, tag, desk.lexicon());
        String who = text.who() == null ? "" : Words.of(text.who() == desk.amber(r) ? "reel.one" : "reel.other") + ": ";
        String line = text.line();
        for (Corner c : Corner.values()) {
            line = line.replace(r.athlete(c).surname(), Words.of(c == desk.amber(r) ? "reel.one" : "reel.other"));
        }
        return who + line;
    }

    /** The drawings of a film with corner A standing for the athlete drawn amber, whoever that is in this match. */
    private List<Drawing> drawings(MatchRecord r, FilmRef film) {
        boolean swapped = desk.amber(r) == Corner.B;
        return Drawings.of(film).stream().map(d -> swapped ? d.swapped() : d).toList();
    }
}
