package farglass.film;

import java.io.IOException;
import java.nio.file.Path;

/**
 * Looks whether a film that was just written is all there: an encoder does not say that its last bytes found no room.
 */
public final class Whole {
    private Whole() {}

    /**
     * @param frames how many pictures were written
     * @throws IOException when fewer can be read
     */
    public static void check(Path film, int frames) throws IOException {
        try (FilmFile opened = FilmFile.openForward(film, () -> false)) {
            if (opened.info().frames() < frames) {
                throw new IOException(FilmWords.of("part-written", opened.info().frames(), frames));
            }
        } catch (FilmException e) {
            throw new IOException(FilmWords.of("written-unread"), e);
        }
    }
}
