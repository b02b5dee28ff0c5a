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
 * @param rotation degrees clockwise by which the stored picture is turned to be shown: 0, 90, 180 or 270
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
        boolean truncated) {
    /** Width of the picture as it is shown: upright. */
    public int shownWidth() {
        return rotation % 180 == 0 ? width : height;
    }

    /** Height of the picture as it is shown: upright. */
    public int shownHeight() {
        return rotation % 180 == 0 ? height : width;
    }
}
