package farglass.match;

import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/** Records for tests, said briefly. */
public final class Records {
    private Records() {}

    public static MatchRecord of(Tag... tags) {
        return named("m1", LocalDate.of(2031, 1, 1), "a1", "b1", tags);
    }

    public static MatchRecord named(String id, LocalDate date, String a, String b, Tag... tags) {
        MatchRecord.Details d = new MatchRecord.Details(
                date, "Event", null, null, "gi", "points-gi", 480_000, athlete(a), athlete(b), null);
        return MatchRecord.of(id, d, List.of(), List.of(tags));
    }

    private static MatchAthlete athlete(String id) {
        return MatchAthlete.of(id, "Name " + id, null, null);
    }

    public static MatchTime s(double seconds) {
        return MatchTime.ofMs(Math.round(seconds * 1000));
    }

    public static Tag.Start start() {
        return new Tag.Start(MatchTime.ZERO, TagInfo.NONE);
    }

    public static Tag.Position at(double seconds, String position) {
        return Tag.Position.of(s(seconds), position, null, null);
    }

    public static Tag.Position held(double seconds, String position, Corner holder) {
        return Tag.Position.of(s(seconds), position, holder, null);
    }

    public static Tag.Position guard(double seconds, String position, Corner guard) {
        return Tag.Position.of(s(seconds), position, guard.other(), guard);
    }

    public static Tag.Action tries(double seconds, Corner by, String technique) {
        return Tag.Action.of(s(seconds), by, technique).result(Outcome.STUFFED, 1, null, null);
    }

    public static Tag.Action does(double seconds, Corner by, String technique, String to) {
        return Tag.Action.of(s(seconds), by, technique).result(Outcome.COMPLETED, 4, to, null);
    }

    public static Tag.Stop stop(double seconds) {
        return new Tag.Stop(s(seconds), null, TagInfo.NONE);
    }

    public static Tag.Resume resume(double seconds, String position) {
        return new Tag.Resume(s(seconds), position, null, null, TagInfo.NONE);
    }

    public static Tag.End end(double seconds) {
        return new Tag.End(s(seconds), TagInfo.NONE);
    }

    public static Tag.Remark note(double seconds, String text) {
        return new Tag.Remark(s(seconds), RemarkKind.NOTE, null, "seen", text, null, null, Map.of(), TagInfo.NONE);
    }
}
