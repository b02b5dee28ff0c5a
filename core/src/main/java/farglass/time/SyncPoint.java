package farglass.time;

/**
 * What the user reads off the picture: at this film moment the match clock shows this value.
 *
 * @param film where in the film
 * @param match the clock's reading turned into match time (a clock that counts down from 8:00 and shows 6:30 gives
 * 1:30)
 */
public record SyncPoint(FilmTime film, MatchTime match) {
    /**
     * @param clockMs the reading, in milliseconds
     * @param lengthMs match length, used when the clock counts down
     * @throws IllegalArgumentException when a clock that counts down shows more than the match length
     */
    public static SyncPoint read(FilmTime film, long clockMs, boolean countsDown, long lengthMs) {
        if (countsDown && clockMs > lengthMs) {
            throw new IllegalArgumentException("the clock shows " + Clock.seconds(clockMs)
                    + ", more than the match length " + Clock.seconds(lengthMs));
        }
        return new SyncPoint(film, MatchTime.ofMs(countsDown ? lengthMs - clockMs : clockMs));
    }
}
