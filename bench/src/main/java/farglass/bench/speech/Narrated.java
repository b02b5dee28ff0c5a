package farglass.bench.speech;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.narration.Cue;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A narration of a made-up match with what was meant by it. One line of text with its time, below it what it says:
 * "act CODE WHO [left|right] [OUTCOME]", "remark KIND", "call KIND WHO", "teach" and "replay" where nothing happens,
 * "same" where something said before is said again.
 *
 * @param automatic whether it is written as a machine would
 */
record Narrated(String name, MatchAthlete a, MatchAthlete b, boolean automatic, List<Line> lines) {
    private static final long LAST_MS = 8000;
    private static final Map<String, String> COLOURS =
            Map.of("blue", "#2850be", "white", "#f5f5f5", "black", "#141414", "red", "#c82828");

    /** Something that was meant. */
    record Truth(
            String kind,
            String code,
            @Nullable Corner who,
            @Nullable String side,
            @Nullable String outcome) {}

    /** A line with what it says. */
    record Line(long ms, String text, List<Truth> truths) {
        boolean has(String kind) {
            return truths.stream().anyMatch(t -> t.kind().equals(kind));
        }
    }

    /** Names of all narrations. */
    static List<String> names() {
        try (BufferedReader file = open("index.txt")) {
            return file.lines().filter(l -> !l.isBlank()).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static BufferedReader open(String name) {
        InputStream in =
                Objects.requireNonNull(Narrated.class.getResourceAsStream("/farglass/bench/narration/" + name));
        return new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    static Narrated read(String name) {
        try (BufferedReader file = open(name)) {
            MatchAthlete[] two = new MatchAthlete[2];
            boolean automatic = false;
            List<Line> lines = new ArrayList<>();
            for (String l = file.readLine(); l != null; l = file.readLine()) {
                if (l.startsWith("a=") || l.startsWith("b=")) {
                    String[] parts = l.substring(2).split(",\\s*");
                    two[l.charAt(0) - 'a'] = new MatchAthlete(
                            l.substring(0, 1), parts[0], "in " + parts[1], COLOURS.get(parts[1]), Map.of());
                } else if (l.startsWith("style=")) {
                    automatic = l.endsWith("auto");
                } else if (l.startsWith("> ")) {
                    lines.get(lines.size() - 1).truths().add(truth(l.substring(2)));
                } else if (!l.isBlank()) {
                    int blank = l.indexOf(' ');
                    String[] time = l.substring(0, blank).split(":");
                    long ms = 60_000L * Integer.parseInt(time[0]) + 1000L * Integer.parseInt(time[1]);
                    lines.add(new Line(ms, l.substring(blank + 1), new ArrayList<>()));
                }
            }
            return new Narrated(
                    name,
                    Objects.requireNonNull(two[0]),
                    Objects.requireNonNull(two[1]),
                    automatic,
                    List.copyOf(lines));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Truth truth(String text) {
        String[] parts = text.split(" ");
        Corner who = null;
        String side = null;
        String outcome = null;
        for (int i = 2; i < parts.length; i++) {
            switch (parts[i]) {
                case "a" -> who = Corner.A;
                case "b" -> who = Corner.B;
                case "left", "right" -> side = parts[i];
                default -> outcome = parts[i].toUpperCase(Locale.ROOT);
            }
        }
        return new Truth(parts[0], parts.length > 1 ? parts[1] : "", who, side, outcome);
    }

    /** The lines as captions, each until the next begins. */
    List<Cue> cues() {
        List<Cue> cues = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            long to =
                    i + 1 < lines.size() ? lines.get(i + 1).ms() : lines.get(i).ms() + LAST_MS;
            // somebody who says little is silent in between
            long said =
                    Math.min(to - lines.get(i).ms(), 400L * lines.get(i).text().split(" ").length);
            cues.add(new Cue(
                    lines.get(i).ms(), lines.get(i).ms() + said, lines.get(i).text()));
        }
        return cues;
    }
}
