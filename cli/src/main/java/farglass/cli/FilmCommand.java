package farglass.cli;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.map.ClockReading;
import farglass.film.map.MapFinder;
import farglass.film.map.MapProposal;
import farglass.film.reel.Still;
import farglass.store.WholeFile;
import farglass.time.Clock;
import farglass.time.FilmTime;
import farglass.time.Segment;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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
            output.print(document(found));
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

    private static Map<String, Object> document(MapProposal found) {
        List<Map<String, Object>> segments = new ArrayList<>();
        for (MapProposal.Part p : found.segments()) {
            Segment s = p.segment();
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("fromMs", s.from().ms());
            m.put("toMs", s.to().ms());
            m.put("kind", s.kind().name().toLowerCase(Locale.ROOT));
            if (s.kind().showsMatch()) {
                m.put("matchMs", s.at().ms());
                m.put("speed", s.speed());
            }
            m.put("confidence", p.confidence());
            segments.add(m);
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("segments", segments);
        m.put("shots", found.shots().stream().map(FilmTime::ms).toList());
        Box clock = found.box();
        m.put(
                "regions",
                clock == null
                        ? List.of()
                        : List.of(Map.of(
                                "what", "clock", "box", List.of(clock.x(), clock.y(), clock.width(), clock.height()))));
        if (!found.readings().isEmpty()) {
            m.put("direction", found.down() ? "down" : "up");
            m.put(
                    "readings",
                    found.readings().stream().map(FilmCommand::reading).toList());
        }
        return m;
    }

    private static Map<String, Object> reading(ClockReading r) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("ms", r.ms());
        m.put("clock", r.clock() == null ? null : Clock.seconds(r.clock() * 1000L));
        m.put("confidence", r.confidence());
        return m;
    }
}
