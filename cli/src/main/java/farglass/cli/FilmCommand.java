package farglass.cli;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.map.MapDocument;
import farglass.film.map.MapFinder;
import farglass.film.map.MapProposal;
import farglass.film.reel.Still;
import farglass.store.WholeFile;
import farglass.time.FilmTime;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What a film holds, and single frames of it. */
@Command(name = "film", description = "Looks into a film file", mixinStandardHelpOptions = true)
final class FilmCommand {
    private final Output output;

    FilmCommand(Output output) {
        this.output = output;
    }

    @Command(name = "info", description = "Prints size, length, codec and frame count", mixinStandardHelpOptions = true)
    int info(@Parameters(paramLabel = "FILM") Path path) throws Unreadable {
        try (FilmFile film = FilmFile.open(path)) {
            output.print(film.info());
            return CliMain.DONE;
        } catch (FilmException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    @Command(
            name = "frame",
            description = "Writes the frame shown at a film time as PNG",
            mixinStandardHelpOptions = true)
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
            BufferedImage picture = Still.of(film, frame);
            WholeFile.write(out, part -> {
                if (!ImageIO.write(picture, "png", part.toFile())) {
                    throw new IOException("a picture cannot be written there");
                }
            });
            Map<String, Object> done = new LinkedHashMap<>();
            done.put("frame", frame);
            done.put("ms", film.timeOf(frame).ms());
            done.put("out", out.toString());
            output.print(done);
            return CliMain.DONE;
        } catch (FilmException e) {
            throw new Unreadable(e.getMessage());
        } catch (IOException e) {
            throw new Unreadable(out + ": could not be written (" + e.getMessage() + ")");
        }
    }

    @Command(
            name = "map",
            description = "Proposes what the film shows when: live, replay, stoppage",
            mixinStandardHelpOptions = true)
    int map(
            @Parameters(paramLabel = "FILM") Path path,
            @Option(
                            names = "--box",
                            paramLabel = "X,Y,W,H",
                            description = "round the match clock, in pixels; without it the clock is looked for")
                    String box,
            @Option(names = "--direction", paramLabel = "down|up") String direction)
            throws Unreadable {
        if (direction != null && !direction.equals("down") && !direction.equals("up")) {
            throw new IllegalArgumentException("--direction: \"" + direction + "\" is not one of down, up");
        }
        Box clock = box == null ? null : box(box);
        Boolean down = direction == null ? null : direction.equals("down");
        try (FilmFile film = FilmFile.open(path)) {
            MapProposal found = MapFinder.of(film).box(clock).down(down).find(x -> {}, () -> false);
            output.print(MapDocument.write(found));
            return CliMain.DONE;
        } catch (FilmException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    private static Box box(String text) {
        String[] parts = text.split(",");
        try {
            if (parts.length == 4) {
                return new Box(
                        Integer.parseInt(parts[0].strip()),
                        Integer.parseInt(parts[1].strip()),
                        Integer.parseInt(parts[2].strip()),
                        Integer.parseInt(parts[3].strip()));
            }
        } catch (IllegalArgumentException e) {
            // said below
        }
        throw new IllegalArgumentException("--box: \"" + text + "\" is not four whole numbers x,y,width,height");
    }
}
