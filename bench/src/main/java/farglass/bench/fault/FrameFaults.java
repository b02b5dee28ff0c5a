package farglass.bench.fault;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.bytedeco.javacpp.Loader;

/**
 * Holds every frame of films in all containers that the program claims against the number in its pixels: with pictures
 * out of order, open groups, variable rate, turned, with one key frame in all. Encoders that the shipped library has
 * are always run; others where an FFmpeg program is installed.
 */
public final class FrameFaults {
    private static final int FRAMES = 150;
    private static final int ASKED = 120;

    /** A kind of film: how it is encoded, and the containers it can lie in. */
    private record Kind(String name, List<String> options, List<String> endings) {}

    private final Path folder;
    private int films;
    private int asked;
    private int wrong;
    private int refused;
    /** Films that could not be opened or have another number of frames. */
    private int bad;

    public FrameFaults(Path folder) {
        this.folder = folder;
    }

    private static List<Kind> kinds() {
        List<String> all = List.of("mp4", "mkv", "mov", "ts", "m2ts", "avi");
        List<Kind> kinds = new ArrayList<>();
        for (String gop : List.of("12", "40", "1000")) {
            kinds.add(kind("openh264, group " + gop, all, "-c:v", "libopenh264", "-g", gop));
            for (String b : List.of("0", "2")) {
                kinds.add(kind(
                        "mpeg4, " + b + " between, group " + gop,
                        List.of("mp4", "mkv", "mov", "avi"),
                        "-c:v",
                        "mpeg4",
                        "-bf",
                        b,
                        "-g",
                        gop,
                        "-q:v",
                        "3"));
                kinds.add(kind(
                        "mpeg2, " + b + " between, group " + gop,
                        List.of("ts", "m2ts", "mpg", "mkv", "mov"),
                        "-c:v",
                        "mpeg2video",
                        "-bf",
                        b,
                        "-g",
                        gop,
                        "-q:v",
                        "3"));
            }
            kinds.add(kind("x264, 3 between, group " + gop, all, "-c:v", "libx264", "-bf", "3", "-g", gop));
            kinds.add(kind(
                    "x264, open groups " + gop,
                    all,
                    "-c:v",
                    "libx264",
                    "-x264-params",
                    "open-gop=1:bframes=4:b-pyramid=normal:keyint=" + gop));
        }
        kinds.add(kind(
                "x264, refresh without key frames",
                all,
                "-c:v",
                "libx264",
                "-x264-params",
                "intra-refresh=1:keyint=30:bframes=0"));
        kinds.add(kind(
                "x265, 4 between",
                List.of("mp4", "mkv", "mov", "ts"),
                "-c:v",
                "libx265",
                "-x265-params",
                "bframes=4:keyint=30:open-gop=1:log-level=none"));
        kinds.add(kind(
                "vp8",
                List.of("webm", "mkv"),
                "-c:v",
                "libvpx",
                "-auto-alt-ref",
                "1",
                "-lag-in-frames",
                "16",
                "-g",
                "40",
                "-b:v",
                "1M"));
        kinds.add(kind(
                "vp9",
                List.of("webm", "mkv", "mp4"),
                "-c:v",
                "libvpx-vp9",
                "-lag-in-frames",
                "16",
                "-g",
                "40",
                "-deadline",
                "realtime",
                "-cpu-used",
                "8"));
        kinds.add(kind("mjpeg", List.of("avi", "mov", "mkv"), "-c:v", "mjpeg", "-q:v", "3"));
        kinds.add(kind(
                "variable rate",
                List.of("mp4", "mkv", "mov"),
                "-c:v",
                "libx264",
                "-bf",
                "2",
                "-g",
                "30",
                "-vf",
                "settb=1/1000,setpts='N*40+17*mod(N,3)'",
                "-fps_mode",
                "passthrough"));
        kinds.add(kind(
                "late start in a stream",
                List.of("ts"),
                "-c:v",
                "libx264",
                "-bf",
                "2",
                "-g",
                "30",
                "-output_ts_offset",
                "95443"));
        return kinds;
    }

    private static Kind kind(String name, List<String> endings, String... options) {
        List<String> all = new ArrayList<>(List.of(options));
        all.addAll(List.of("-pix_fmt", name.equals("mjpeg") ? "yuvj420p" : "yuv420p"));
        return new Kind(name, all, endings);
    }

    /** Prints a line for each film that is not exact, and one for all. */
    public void run() throws IOException, InterruptedException {
        List<String> programs = List.of(Loader.load(org.bytedeco.ffmpeg.ffmpeg.class), "ffmpeg");
        for (Kind k : kinds()) {
            for (String ending : k.endings()) {
                Path film = folder.resolve(films + "-film." + ending);
                for (String program : programs) {
                    if (made(program, film, k.options())) {
                        check(k.name() + " in " + ending, film, FRAMES);
                        break;
                    }
                }
            }
        }
        joined(programs);
        System.out.printf(
                Locale.ROOT,
                "FrameFaults                  films %d  frames asked for %d  wrong %d  refused %d  films that were not opened or lack frames %d%n",
                films,
                asked,
                wrong,
                refused,
                bad);
    }

    /** Two recordings written into one stream, whose clock begins anew in the middle. */
    private void joined(List<String> programs) throws IOException, InterruptedException {
        for (Kind k : kinds()) {
            for (String ending : List.of("ts", "m2ts", "mpg")) {
                Path one = folder.resolve("part." + ending);
                if (k.endings().contains(ending) && programs.stream().anyMatch(p -> quietly(p, one, k.options()))) {
                    Path film = folder.resolve(films + "-joined." + ending);
                    Files.write(film, Files.readAllBytes(one));
                    Files.write(film, Files.readAllBytes(one), StandardOpenOption.APPEND);
                    check(k.name() + " twice in one " + ending, film, 2 * FRAMES);
                }
            }
        }
    }

    private static boolean quietly(String program, Path film, List<String> options) {
        try {
            return made(program, film, options);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static boolean made(String program, Path film, List<String> options) throws InterruptedException {
        try {
            return NumberedFilm.make(program, film, FRAMES, options);
        } catch (IOException e) {
            // no such program here
            return false;
        }
    }

    private void check(String what, Path path, int whole) {
        films++;
        int wrongBefore = wrong;
        int refusedBefore = refused;
        Random random = new Random(films);
        int frames;
        try (FilmFile film = FilmFile.open(path)) {
            frames = film.info().frames();
            for (int i = 0; i < ASKED; i++) {
                // backwards through the last groups, then anywhere
                look(film, i < 30 ? frames - 1 - i : random.nextInt(frames));
            }
        } catch (FilmException e) {
            bad++;
            System.out.println("  " + what + ": " + e.getMessage());
            return;
        }
        for (int n : new int[] {0, 1, 2, frames / 2, frames - 1}) {
            try (FilmFile film = FilmFile.openForward(path, () -> false)) {
                look(film, n);
            } catch (FilmException e) {
                refused++;
            }
        }
        if (frames != whole) {
            bad++;
        }
        if (frames != whole || wrong > wrongBefore || refused > refusedBefore) {
            System.out.printf(
                    Locale.ROOT,
                    "  %s: %d frames of %d, wrong %d, refused %d%n",
                    what,
                    frames,
                    whole,
                    wrong - wrongBefore,
                    refused - refusedBefore);
        }
    }

    private void look(FilmFile film, int n) {
        FilmInfo i = film.info();
        asked++;
        ByteBuffer pixels = ByteBuffer.allocateDirect(4 * i.width() * i.height());
        try {
            film.picture(n, pixels);
            int turned = i.rotation() / 90;
            wrong += NumberedFilm.number(pixels, i.shownWidth(), i.shownHeight(), turned) == n % FRAMES ? 0 : 1;
        } catch (FilmException e) {
            refused++;
        }
    }
}
