package farglass.bench.fault;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Films whose every picture says its number in sixteen blocks, made by an FFmpeg program with any of its encoders. */
final class NumberedFilm {
    static final int WIDTH = 320;
    static final int HEIGHT = 192;
    static final int RATE = 25;
    private static final int BITS = 16;

    private NumberedFilm() {}

    /**
     * @param program an FFmpeg program
     * @param options of the output, such as the encoder's
     * @return whether the program could make it
     */
    static boolean make(String program, Path target, int frames, List<String> options)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                program,
                "-y",
                "-v",
                "error",
                "-f",
                "rawvideo",
                "-pix_fmt",
                "gray",
                "-s",
                WIDTH + "x" + HEIGHT,
                "-r",
                Integer.toString(RATE),
                "-i",
                "-"));
        command.addAll(options);
        command.add(target.toString());
        Process p = new ProcessBuilder(command)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (OutputStream out = p.getOutputStream()) {
            byte[] picture = new byte[WIDTH * HEIGHT];
            for (int n = 0; n < frames; n++) {
                for (int i = 0; i < picture.length; i++) {
                    int bit = i % WIDTH / (WIDTH / BITS);
                    picture[i] = (byte) ((n >> bit & 1) == 1 ? 220 : 30);
                }
                out.write(picture);
            }
        } catch (IOException e) {
            // the program has ended: it has no such encoder
        }
        return p.waitFor(120, TimeUnit.SECONDS) && p.exitValue() == 0;
    }

    /**
     * The number that an upright picture says.
     *
     * @param turned quarters clockwise by which the film was turned
     */
    static int number(ByteBuffer bgra, int width, int height, int turned) {
        int number = 0;
        for (int bit = 0; bit < BITS; bit++) {
            int along = bit * (WIDTH / BITS) + WIDTH / BITS / 2;
            int x = new int[] {along, width / 2, width - 1 - along, width / 2}[turned];
            int y = new int[] {height / 2, along, height / 2, height - 1 - along}[turned];
            number |= ((bgra.get(4 * (y * width + x) + 1) & 0xff) > 127 ? 1 : 0) << bit;
        }
        return number;
    }
}
