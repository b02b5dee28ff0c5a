package farglass.bench;

import farglass.bench.clip.ClipBench;
import farglass.bench.fault.FrameFaults;
import farglass.bench.fault.InputFaults;
import farglass.bench.fault.KillFaults;
import farglass.bench.speech.NarrationBench;
import farglass.bench.speech.SkeletonBench;
import farglass.bench.team.TeamBench;
import farglass.bench.team.TeamFaults;
import farglass.bench.truth.ChainsBench;
import farglass.bench.truth.CoverageBench;
import farglass.bench.truth.PlanBench;
import farglass.bench.truth.ReportBench;
import farglass.bench.truth.WinChanceBench;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs the benchmarks and prints one line a figure. An argument chooses those whose name contains it. */
public final class BenchMain {
    /** Limits in ms per operation that the product promises. */
    private static final Map<String, Double> LIMITS = Map.of(
            "TagBench.phraseToDisk", 100.0,
            "ProfileBench.profile", 1000.0,
            "FilmBench.stepForward", 1000.0 / 60,
            "FilmBench.stepBack", 100.0,
            "CheckBench.scoreAndCheck", 20.0);

    /** Same work done by a library alone: figure, and what it is held against. */
    private static final Map<String, String> AGAINST = new LinkedHashMap<>();

    static {
        AGAINST.put("RecordBench.readRecord", "RecordBench.readTree");
        AGAINST.put("TagBench.phraseToDisk", "TagBench.plainInsert");
        AGAINST.put("FilmBench.stepForward", "FilmBench.plainGrab");
    }

    private static final int TWO_HOURS = 120;
    private static final int USUAL_INPUTS = 20_000;
    private static final int USUAL_KILLS = 1000;
    private static final int USUAL_CLIPS = 60;

    private static final int USUAL_WORLDS = 24;
    private static final double USUAL_TEAM_MINUTES = 10;
    private static final int USUAL_TEAM_FAULTS = 200;

    private BenchMain() {}

    public static void main(String[] args) throws Exception {
        java.util.logging.Logger.getLogger("").setLevel(java.util.logging.Level.WARNING);
        String chosen = args.length == 0 ? "" : args[0];
        if (chosen.equals("EnduranceBench")) {
            // hours: only when it is asked for
            int minutes = args.length > 1 ? Integer.parseInt(args[1]) : TWO_HOURS;
            EnduranceBench.start(minutes);
            System.exit(0);
        }
        if (List.of("CoverageBench", "ChainsBench", "WinChanceBench", "PlanBench", "ReportBench")
                .contains(chosen)) {
            truth(chosen, args.length > 1 ? Integer.parseInt(args[1]) : USUAL_WORLDS);
            System.exit(0);
        }
        if (chosen.equals("GrowthBench")) {
            int[] sizes = args.length == 1
                    ? new int[] {60, 2000, 20_000}
                    : Stream.of(args).skip(1).mapToInt(Integer::parseInt).toArray();
            GrowthBench.run(Files.createTempDirectory("farglass-bench"), sizes);
            System.exit(0);
        }
        if (chosen.equals("OpenBench")) {
            int[] sizes = args.length == 1
                    ? new int[] {0, 60, 2000}
                    : Stream.of(args).skip(1).mapToInt(Integer::parseInt).toArray();
            OpenBench.start(Files.createTempDirectory("farglass-bench"), sizes);
            System.exit(0);
        }
        if (chosen.equals("TeamBench")) {
            double minutes = args.length > 1 ? Double.parseDouble(args[1]) : USUAL_TEAM_MINUTES;
            TeamBench.start(Files.createTempDirectory("farglass-bench"), minutes);
            System.exit(0);
        }
        if (chosen.equals("NarrationBench")) {
            NarrationBench.start(args.length > 1 ? args[1] : "", args.length > 2 && args[2].equals("misses"));
            System.exit(0);
        }
        if (chosen.equals("SkeletonBench")) {
            SkeletonBench.start();
            System.exit(0);
        }
        if (chosen.equals("ClipBench")) {
            if (args.length < 2) {
                System.err.println(
                        "ClipBench FOLDER [CLIPS [FIRST [KEEP]]]: a folder of camera films to lay graphics over, how"
                                + " many clips, the number of the first, a folder to keep them in");
                System.exit(2);
            }
            ClipBench.start(
                    Path.of(args[1]),
                    args.length > 3 ? Integer.parseInt(args[3]) : 0,
                    args.length > 2 ? Integer.parseInt(args[2]) : USUAL_CLIPS,
                    args.length > 4 ? Path.of(args[4]) : null);
            System.exit(0);
        }
        if (chosen.endsWith("Faults")) {
            faults(chosen, args.length > 1 ? Integer.parseInt(args[1]) : 0);
            System.exit(0);
        }
        if (!List.of(
                        "WindowBench",
                        "SightBench",
                        "KeystrokeBench",
                        "ScrubBench",
                        "LibraryBench",
                        "MeetingBench",
                        "BriefBench")
                .contains(chosen)) {
            harness(chosen);
        }
        if (chosen.isEmpty() || chosen.equals("LibraryBench")) {
            new LibraryBench().run(Files.createTempDirectory("farglass-bench"));
        }
        if (chosen.isEmpty() || chosen.equals("MeetingBench")) {
            new MeetingBench().run();
        }
        if (chosen.isEmpty() || chosen.equals("BriefBench")) {
            new BriefBench().run();
        }
        if (chosen.isEmpty() || chosen.equals("ScrubBench")) {
            new ScrubBench().run(Files.createTempDirectory("farglass-bench"));
        }
        if (chosen.isEmpty() || chosen.equals("KeystrokeBench")) {
            keystrokes();
        }
        if (chosen.isEmpty() || chosen.equals("WindowBench")) {
            window();
        }
        if (chosen.isEmpty() || chosen.equals("SightBench")) {
            SightBench.start(Files.createTempDirectory("farglass-bench"));
        }
        System.exit(0);
    }

    /** What is told against made-up worlds whose truth is known: minutes, so only when it is asked for. */
    private static void truth(String chosen, int worlds) {
        switch (chosen) {
            case "CoverageBench" -> CoverageBench.start(worlds);
            case "ChainsBench" -> ChainsBench.start(worlds);
            case "WinChanceBench" -> WinChanceBench.start(worlds);
            case "ReportBench" -> ReportBench.start(worlds);
            default -> PlanBench.start(worlds);
        }
    }

    /** The fault suite, which takes long: only when it is asked for. */
    private static void faults(String chosen, int runs) throws Exception {
        Path folder = Files.createTempDirectory("farglass-faults");
        switch (chosen) {
            case "FrameFaults" -> new FrameFaults(folder).run();
            case "InputFaults" -> InputFaults.start(runs == 0 ? USUAL_INPUTS : runs);
            case "KillFaults" -> new KillFaults(folder, runs == 0 ? USUAL_KILLS : runs).run();
            case "TeamFaults" -> new TeamFaults(folder, runs == 0 ? USUAL_TEAM_FAULTS : runs, System.nanoTime()).run();
            default -> System.out.println("There are FrameFaults, InputFaults, KillFaults and TeamFaults.");
        }
    }

    private static void harness(String chosen) throws RunnerException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include("farglass\\.bench\\..*" + chosen)
                        .forks(1)
                        .warmupIterations(2)
                        .warmupTime(TimeValue.seconds(2))
                        .measurementIterations(5)
                        .measurementTime(TimeValue.seconds(2))
                        .shouldFailOnError(true)
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run();
        Map<String, double[]> figures = new LinkedHashMap<>();
        for (RunResult r : results) {
            var stats = r.getPrimaryResult().getStatistics();
            String name = r.getParams().getBenchmark().replaceFirst(".*\\.(\\w+\\.\\w+)$", "$1");
            figures.put(name, new double[] {stats.getMean(), stats.getMin(), stats.getMax()});
        }
        figures.forEach((name, f) -> System.out.println(line(name, f, figures)));
    }

    private static void keystrokes() {
        KeystrokeBench.Figures k = KeystrokeBench.run();
        System.out.printf(
                Locale.ROOT,
                "%-28s median %.1f  mean %.2f  median/limit(6) %.2f  (%d tags, %d that no phrase says)"
                        + "  first choice right %.0f%%  among five %.0f%%  (%d attempts)%n",
                "KeystrokeBench.keysPerTag",
                k.median(),
                k.mean(),
                k.median() / 6,
                k.tags(),
                k.unsaid(),
                100 * k.first(),
                100 * k.amongFive(),
                k.attempts());
    }

    private static void window() throws Exception {
        Path folder = Files.createTempDirectory("farglass-bench");
        WindowBench.Figures w = WindowBench.run(folder);
        System.out.printf(
                Locale.ROOT,
                "%-28s median %8.2f ms  max %8.2f ms  median/limit(100 ms) %.3f  (%d tags)%n",
                "WindowBench.keyToTideLine",
                w.median(),
                w.max(),
                w.median() / 100,
                w.runs());
    }

    private static String line(String name, double[] f, Map<String, double[]> all) {
        StringBuilder text = new StringBuilder(
                String.format(Locale.ROOT, "%-28s mean %10.4f ms  (%.4f to %.4f)", name, f[0], f[1], f[2]));
        if (LIMITS.containsKey(name)) {
            text.append(
                    String.format(Locale.ROOT, "  /limit(%.1f ms) %.3f", LIMITS.get(name), f[0] / LIMITS.get(name)));
        }
        double[] other = AGAINST.containsKey(name) ? all.get(AGAINST.get(name)) : null;
        if (other != null) {
            text.append(String.format(Locale.ROOT, "  /%s %.2f", AGAINST.get(name), f[0] / other[0]));
        }
        return text.toString();
    }
}
