package farglass.film;

/**
 * What a film file holds.
 *
 * @param width picture width in pixels, as stored
 * @param height picture height in pixels, as stored
 * @param frames frames that can be shown
 * @param durationMs from the first frame to the end of the last, ms
 * @param codec name of the video codec, e.g. {@code h264}
 * @param keyFrames frames that decode on their own
 * @param variableRate whether frame durations differ by more than a tenth
 * @param audio whether there is sound
 * @param rotation degrees clockwise by which the picture is to be turned: 0, 90, 180 or 270
 * @param truncated whether the file ends before its stated length
 */
public record FilmInfo(
        int width,
        int height,
        int frames,
        long durationMs,
        String codec,
        int keyFrames,
        boolean variableRate,
        boolean audio,
        int rotation,
        boolean truncated) {}
