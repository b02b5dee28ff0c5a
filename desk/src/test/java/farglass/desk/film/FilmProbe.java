package farglass.desk.film;

import farglass.film.GrayPicture;
import farglass.film.map.RegionCrops;
import farglass.film.score.ScoreTrack;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.work.score.ReadScore;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import javafx.event.Event;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** What the film station takes from outside the window, for tests. */
public final class FilmProbe {
    private FilmProbe() {}

    /** As if a file or folder were dropped on the picture. */
    public static void drop(FilmStation station, Path file) {
        station.choice().take(file);
    }

    /** As if all calls that were read were taken. */
    public static void takeCalls(FilmStation station) {
        station.scored().takeAll();
    }

    /** What a sheet offers when another clock runs beside the one that was read; it runs {@code other} when taken. */
    public static Button otherClock(MatchRecord r, Runnable other) {
        GrayPicture any = new GrayPicture(4, 2, new byte[8]);
        ReadScore none = new ReadScore(r.id(), "match.mp4", ScoreTrack.NONE, Corner.A);
        ReadSheet sheet = new ReadSheet(r, none, new RegionCrops(any, any, List.of(), List.of()), other);
        return (Button) sheet.lookup("#read-rival");
    }

    /** Goes through the reaction exercise with answers of so many ms each; gives what it measured. */
    public static long react(long... answers) {
        AtomicLong now = new AtomicLong(5000);
        AtomicLong measured = new AtomicLong(-1);
        ReactionSheet sheet = new ReactionSheet(now::get, measured::set, () -> {});
        for (long ms : answers) {
            sheet.show();
            now.addAndGet(ms);
            Event.fireEvent(sheet, new KeyEvent(KeyEvent.KEY_PRESSED, "k", "k", KeyCode.K, false, false, false, false));
        }
        return measured.get();
    }
}
