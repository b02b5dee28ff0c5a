package farglass.talk;

import farglass.match.Drawing;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.List;

/** A talk while it is being taken. */
public final class TalkRecorder {
    private final List<Talk.Shown> shown = new ArrayList<>();

    /** Begins with nothing taken. */
    public TalkRecorder() {}

    /** What is on screen now; nothing new is nothing taken. Times that go back are taken as the latest one. */
    public void shows(long atMs, FilmTime film, List<Drawing.Mark> marks) {
        Talk.Shown last = shown.isEmpty() ? null : shown.get(shown.size() - 1);
        if (last != null && last.film().equals(film) && last.marks().equals(marks)) {
            return;
        }
        long at = last == null ? 0 : Math.max(last.atMs(), atMs);
        shown.add(new Talk.Shown(at, film, marks));
    }

    /** Whether nothing has been shown. */
    public boolean isEmpty() {
        return shown.isEmpty();
    }

    /** The talk that was taken. */
    public Talk done(String id, String match, String film, String cue, long lengthMs) {
        return new Talk(id, match, film, cue, Math.max(1, lengthMs), shown);
    }
}
