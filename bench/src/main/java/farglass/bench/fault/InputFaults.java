package farglass.bench.fault;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import farglass.cli.CliMain;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.store.bundle.Bundle;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.table.NotesTable;
import farglass.store.table.TagTable;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.bytedeco.javacpp.Loader;

/**
 * Gives the commands documents, bundles, tables, libraries and films that were changed at random, under the heap that
 * the window has, and looks at what they say: one line, under 300 characters, without control characters, with no trace
 * of Java in it.
 */
public final class InputFaults {
    private static final String HEAP = "-Xmx400m";
    private static final long SLOW_MS = 20_000;
    private static final int LONGEST_LINE = 300;
    /** Pieces that hostile or hasty hands put into files. */
    private static final List<String> PIECES = List.of(
            "\u001b[2J\u001b[31m",
            "\u202ereversed",
            "\u0000",
            "{",
            "[[[[[[[[",
            "\"",
            "-1",
            "1e999",
            "999999999999999999",
            "null",
            "true",
            "\n\n",
            "\ufeff",
            "=cmd|' /C calc'!A0",
            "\ud83e\udd4b",
            "../../etc",
            "\"id\":\"\",",
            "NaN",
            "\\u0000",
            "a".repeat(5000),
            ",",
            "}");

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final List<JsonNode> VALUES = values();

    private static List<JsonNode> values() {
        List<JsonNode> values = new ArrayList<>();
        for (String json : List.of(
                "null",
                "true",
                "-1",
                "0",
                "0.5",
                "1e300",
                "99999999999",
                "2147483648",
                "\"\"",
                "\"a\"",
                "\"b\"",
                "\"\\u202e\\u001b[2J\"",
                "[]",
                "{}",
                "[[]]",
                "[null]",
                "{\"\":null}",
                "\"2031-02-30\"",
                "\"NaN\"",
                "\"not-visible\"",
                "\"" + "long ".repeat(2000) + "\"")) {
            try {
                values.add(JSON.readTree(json));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }
        return values;
    }

    private final Path folder;
    private final Map<String, int[]> counts = new TreeMap<>();
    private int wrong;
    /** A match of the two whom the plan is about. */
    private Path fought;

    private InputFaults(Path folder) {
        this.folder = folder;
    }

    /** Runs in a process of its own, with the window's heap. */
    public static void start(int inputs) throws IOException, InterruptedException {
        Process p = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        HEAP,
                        "-Djava.awt.headless=true",
                        "-cp",
                        System.getProperty("java.class.path"),
                        InputFaults.class.getName(),
                        Integer.toString(inputs))
                .inheritIO()
                .start();
        p.waitFor();
    }

    /** @param args how many inputs */
    public static void main(String[] args) throws Exception {
        java.util.logging.Logger.getLogger("").setLevel(java.util.logging.Level.WARNING);
        new InputFaults(Files.createTempDirectory("farglass-inputs")).run(Integer.parseInt(args[0]));
        System.exit(0);
    }

    private void run(int inputs) throws Exception {
        Map<String, byte[]> seeds = seeds();
        List<String> kinds = List.copyOf(seeds.keySet());
        long slowest = 0;
        for (int i = 0; i < inputs; i++) {
            Random random = new Random(i);
            String kind = kinds.get(i % kinds.size());
            byte[] bad = changed(kind, seeds.get(kind), random);
            Path file = Files.write(folder.resolve("x" + kind.substring(kind.indexOf('.'))), bad);
            long begun = System.nanoTime();
            String fault = given(kind, file, random);
            long ms = (System.nanoTime() - begun) / 1_000_000;
            slowest = Math.max(slowest, ms);
            if (ms > SLOW_MS) {
                fault = "took " + ms + " ms";
            }
            if (fault != null) {
                wrong++;
                System.out.println("  " + kind + ", seed " + i + ": " + fault);
                Files.copy(file, folder.resolve("kept-" + i + "-" + file.getFileName()));
            }
            clear();
        }
        StringBuilder each = new StringBuilder();
        counts.forEach((kind, n) -> each.append(' ')
                .append(kind)
                .append(' ')
                .append(n[0])
                .append('/')
                .append(n[1]));
        System.out.printf(
                Locale.ROOT,
                "InputFaults                  inputs %d, refused of all by kind:%s  wrong %d  slowest %d ms%n",
                inputs,
                each,
                wrong,
                slowest);
    }

    private void clear() throws IOException {
        try (var files = Files.list(folder)) {
            for (Path p : files.filter(f -> f.getFileName().toString().startsWith("into"))
                    .toList()) {
                Files.deleteIfExists(p);
            }
        }
    }

    private Map<String, byte[]> seeds() throws Exception {
        List<MatchRecord> demo =
                DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).subList(0, 4);
        Map<String, byte[]> seeds = new LinkedHashMap<>();
        seeds.put("score.match.json", MatchJson.write(demo.get(0)).getBytes(StandardCharsets.UTF_8));
        seeds.put("check.match.json", MatchJson.write(demo.get(1)).getBytes(StandardCharsets.UTF_8));
        seeds.put("agree.match.json", MatchJson.write(demo.get(1)).getBytes(StandardCharsets.UTF_8));
        Path whole = folder.resolve("whole.zip");
        new Bundle(DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED), List.of()).write(whole);
        ByteArrayOutputStream plan = new ByteArrayOutputStream();
        CliMain.run(
                new PrintStream(plan, true, StandardCharsets.UTF_8),
                System.err,
                Clock.systemUTC(),
                "plan",
                "--library",
                whole.toString(),
                "--us",
                "ansa-kellivar",
                "--them",
                "brisa-tolendt",
                "--ruleset",
                "points-gi",
                "--no-draws");
        seeds.put("debrief.json", plan.toByteArray());
        seeds.put("camp.json", plan.toByteArray());
        fought = folder.resolve("fought.match.json");
        for (MatchRecord r : DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED)) {
            if (r.cornerOf("ansa-kellivar").isPresent()
                    && r.cornerOf("brisa-tolendt").isPresent()) {
                Files.writeString(fought, MatchJson.write(r));
            }
        }
        Path bundle = folder.resolve("seed.zip");
        new Bundle(demo, List.of(Plan.empty("p", "T", "a", "b"))).write(bundle);
        seeds.put("import.zip", Files.readAllBytes(bundle));
        StringWriter table = new StringWriter();
        TagTable.write(demo.subList(0, 1), table);
        seeds.put("table.csv", table.toString().getBytes(StandardCharsets.UTF_8));
        seeds.put(
                "notes.csv",
                "time;what;who\n0:10;knee cut right;b\n0:20;\"lasso\";a\n"
                        .repeat(20)
                        .getBytes(StandardCharsets.UTF_8));
        Path library = folder.resolve("seed.farglass");
        try (Library l = Library.open(library, Clock.systemUTC())) {
            l.addAll(demo);
            l.save(DemoLibrary.fought());
        }
        seeds.put("profile.farglass", Files.readAllBytes(library));
        seeds.put("verify.farglass", Files.readAllBytes(library));
        seeds.put("export.farglass", Files.readAllBytes(library));
        seeds.put("restore.farglass", Files.readAllBytes(library));
        String program = Loader.load(org.bytedeco.ffmpeg.ffmpeg.class);
        for (String ending : List.of("mp4", "mkv", "ts", "avi", "mpg", "webm")) {
            Path film = folder.resolve("seed." + ending);
            String codec = switch (ending) {
                case "mpg", "ts" -> "mpeg2video";
                case "avi" -> "mpeg4";
                case "webm" -> "libvpx";
                default -> "libopenh264";
            };
            NumberedFilm.make(program, film, 25, List.of("-c:v", codec, "-pix_fmt", "yuv420p", "-g", "10"));
            seeds.put("film." + ending, Files.readAllBytes(film));
        }
        return seeds;
    }

    /** Half of the documents keep their form and get other values in it; half of the libraries keep their length. */
    private static byte[] changed(String kind, byte[] good, Random random) throws IOException {
        if (random.nextBoolean() && kind.endsWith("json")) {
            return otherValues(good, random);
        }
        if (random.nextBoolean() && kind.endsWith("farglass")) {
            byte[] bad = good.clone();
            for (int k = 1 + random.nextInt(20); k > 0; k--) {
                bad[100 + random.nextInt(bad.length - 100)] ^= (byte) (1 << random.nextInt(8));
            }
            return bad;
        }
        return mutated(good, random);
    }

    private static byte[] otherValues(byte[] good, Random random) throws IOException {
        JsonNode root = JSON.readTree(good);
        for (int k = 1 + random.nextInt(3); k > 0; k--) {
            JsonNode at = root;
            while (true) {
                List<String> names = new ArrayList<>();
                at.fieldNames().forEachRemaining(names::add);
                int n = at.isArray() ? at.size() : names.size();
                if (n == 0) {
                    break;
                }
                int i = random.nextInt(n);
                JsonNode next = at.isArray() ? at.get(i) : at.get(names.get(i));
                if (next.isValueNode() || random.nextInt(6) == 0) {
                    JsonNode other = VALUES.get(random.nextInt(VALUES.size())).deepCopy();
                    if (at instanceof ArrayNode a) {
                        a.set(i, other);
                    } else {
                        ((ObjectNode) at).set(names.get(i), other);
                    }
                    break;
                }
                at = next;
            }
        }
        return JSON.writeValueAsBytes(root);
    }

    private static byte[] mutated(byte[] good, Random random) {
        byte[] bad = good.clone();
        int changes = 1 + random.nextInt(6);
        for (int k = 0; k < changes; k++) {
            if (bad.length == 0) {
                return bad;
            }
            int at = random.nextInt(bad.length);
            switch (random.nextInt(7)) {
                case 0 -> bad = Arrays.copyOf(bad, at);
                case 1 -> bad[at] ^= (byte) (1 << random.nextInt(8));
                case 2 ->
                    bad = inserted(
                            bad, at, PIECES.get(random.nextInt(PIECES.size())).getBytes(StandardCharsets.UTF_8));
                case 3 -> {
                    byte[] noise = new byte[1 + random.nextInt(40)];
                    random.nextBytes(noise);
                    bad = inserted(bad, at, noise);
                }
                case 4 -> {
                    int length = Math.min(bad.length - at, 1 + random.nextInt(200));
                    bad = inserted(bad, random.nextInt(bad.length), Arrays.copyOfRange(bad, at, at + length));
                }
                case 5 -> {
                    int length = Math.min(bad.length - at, 1 + random.nextInt(300));
                    byte[] cut = Arrays.copyOf(bad, bad.length - length);
                    System.arraycopy(bad, at + length, cut, at, bad.length - at - length);
                    bad = cut;
                }
                default ->
                    Arrays.fill(bad, at, Math.min(bad.length, at + 1 + random.nextInt(60)), (byte) random.nextInt(256));
            }
        }
        return bad;
    }

    private static byte[] inserted(byte[] into, int at, byte[] piece) {
        byte[] longer = new byte[into.length + piece.length];
        System.arraycopy(into, 0, longer, 0, at);
        System.arraycopy(piece, 0, longer, at, piece.length);
        System.arraycopy(into, at, longer, at + piece.length, into.length - at);
        return longer;
    }

    /** What is wrong with the answer, or null. */
    private String given(String kind, Path file, Random random) {
        String command = kind.substring(0, kind.indexOf('.'));
        int[] n = counts.computeIfAbsent(command, k -> new int[2]);
        n[1]++;
        String path = file.toString();
        String into = folder.resolve("into.farglass").toString();
        String png = folder.resolve("into.png").toString();
        return switch (command) {
            case "score", "check", "verify" -> run(n, command, path);
            case "agree" -> run(n, "agree", path, path);
            case "debrief" -> run(n, "debrief", "--plan", path, "--match", fought.toString());
            case "camp" ->
                run(n, "camp", "--plan", path, "--from", "2031-01-01", "--event", "2031-02-01", "--minutes", "60");
            case "import" -> run(n, "import", into, path);
            case "profile" -> run(n, "list", path);
            case "export" ->
                run(
                        n,
                        "export",
                        path,
                        "--format",
                        "csv",
                        folder.resolve("into.csv").toString());
            case "restore" -> run(n, "restore", into, path);
            case "film" ->
                random.nextBoolean()
                        ? run(n, "film", "info", path)
                        : run(n, "film", "frame", path, "--at", Integer.toString(random.nextInt(1200)), png);
            default -> read(n, command, file);
        };
    }

    private String run(int[] n, String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code;
        try {
            code = CliMain.run(
                    new PrintStream(out, true, StandardCharsets.UTF_8),
                    new PrintStream(err, true, StandardCharsets.UTF_8),
                    Clock.systemUTC(),
                    args);
        } catch (RuntimeException | Error e) {
            return e.toString();
        }
        if (code != 0) {
            n[0]++;
        }
        if (code != 0 && code != 3) {
            return "exit code " + code + ": " + err.toString(StandardCharsets.UTF_8);
        }
        return said(err.toString(StandardCharsets.UTF_8), code == 0 || out.size() > 0);
    }

    /** @param maybe whether nothing need have been said */
    private static String said(String text, boolean maybe) {
        String line = text.strip();
        if (line.isEmpty()) {
            return maybe ? null : "nothing was said";
        }
        if (line.lines().count() > 1 || line.length() > LONGEST_LINE) {
            return "not one line of " + LONGEST_LINE + ": " + line.length() + " characters in "
                    + line.lines().count();
        }
        if (line.chars().anyMatch(c -> Character.isISOControl(c) || c == 0x202e)) {
            return "steers the terminal";
        }
        return line.matches("(?s).*(Exception|Error:|SQLITE|\\bat java|org\\.).*") ? "speaks Java: " + line : null;
    }

    private String read(int[] n, String what, Path file) {
        try {
            if (what.equals("notes")) {
                NotesTable.read(file);
            } else {
                TagTable.read(new StringReader(Files.readString(file, StandardCharsets.ISO_8859_1)));
            }
            return null;
        } catch (FormatException | IOException e) {
            n[0]++;
            return e.getMessage() == null || e.getMessage().isBlank() ? "nothing was said" : null;
        } catch (RuntimeException | Error e) {
            return e.toString();
        }
    }
}
