package farglass.cli;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.time.FilmTime;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What a film holds, and single frames of it. */
@Command(name = "film", description = "Looks into a film file")
final class FilmCommand {
    private final Output output;

    FilmCommand(Output output) {
        this.output = output;
    }

    @Command(name = "info", description = "Prints size, length, codec and frame count")
    int info(@Parameters(paramLabel = "FILM") Path path) throws Unreadable {
        try (FilmFile film = FilmFile.open(path)) {
            output.print(film.info());
            return Main.DONE;
        } catch (FilmException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    @Command(name = "frame", description = "Writes the frame shown at a film time as PNG")
    int frame(
            @Parameters(index = "0", paramLabel = "FILM") Path path,
            @Option(names = "--at", required = true, paramLabel = "MS") long ms,
            @Parameters(index = "1", paramLabel = "OUT.png") Path out)
            throws Unreadable {
        if (ms < 0) {
            throw new IllegalArgumentException("--at must not be negative");
        }
        try (FilmFile film = FilmFile.open(path)) {
            int frame = film.frameAt(FilmTime.ofMs(ms));
            FilmInfo info = film.info();
            ByteBuffer pixels =
                    ByteBuffer.allocateDirect(4 * info.width() * info.height()).order(ByteOrder.LITTLE_ENDIAN);
            film.picture(frame, pixels);
            ImageIO.write(image(pixels.asIntBuffer(), info), "png", out.toFile());
            Map<String, Object> done = new LinkedHashMap<>();
            done.put("frame", frame);
            done.put("ms", film.timeOf(frame).ms());
            done.put("out", out.toString());
            output.print(done);
            return Main.DONE;
        } catch (FilmException | IOException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    private static BufferedImage image(IntBuffer pixels, FilmInfo info) {
        BufferedImage image = new BufferedImage(info.width(), info.height(), BufferedImage.TYPE_INT_RGB);
        int[] row = new int[info.width()];
        for (int y = 0; y < info.height(); y++) {
            pixels.get(row);
            image.setRGB(0, y, info.width(), 1, row, 0, info.width());
        }
        return image;
    }
}
