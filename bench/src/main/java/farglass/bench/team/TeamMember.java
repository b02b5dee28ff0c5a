package farglass.bench.team;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.store.server.TeamAddress;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;

/** One of a team, in a process of its own and with its mirror on a small disk, and what it has said was confirmed. */
final class TeamMember {
    private static final String ROOM = "24m";
    private static final int FILL = 1 << 20;
    private static final long PATIENCE_S = 60;

    private final Path disk;
    private final String name;
    private final TeamAddress address;
    private final String match;
    private final int own;
    /** Notes of tags that were confirmed and not taken away since, by technique. */
    private final Map<String, String> standing = new TreeMap<>();
    /** What was about to be done when the process ended: it may be done or not. */
    private final Map<String, String> open = new TreeMap<>();

    private Process process;
    private Thread reader;
    private String last = "";
    private int confirmed;
    private int begun;

    TeamMember(Path folder, int n, TeamAddress address, String match, int own)
            throws IOException, InterruptedException {
        this.disk = Files.createDirectories(folder.resolve("disk" + n));
        this.name = "p" + n;
        this.address = address;
        this.match = match;
        this.own = own;
        // where nobody may mount one, the disk is as large as the machine's and never full
        new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=" + ROOM, "tmpfs", disk.toString())
                .redirectErrorStream(true)
                .start()
                .waitFor();
    }

    Path file() {
        return disk.resolve("mirror.farglass");
    }

    String match() {
        return match;
    }

    int confirmed() {
        return confirmed;
    }

    void begin() throws IOException {
        begun++;
        process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-Xshare:auto",
                        "-Xmx100m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        MemberProcess.class.getName(),
                        file().toString(),
                        address.url(),
                        name,
                        match,
                        Integer.toString(own),
                        Integer.toString(begun),
                        Integer.toString(begun * 100_000))
                .redirectError(ProcessBuilder.Redirect.appendTo(
                        disk.resolveSibling(name + ".errors").toFile()))
                .start();
        Process p = process;
        reader = new Thread(() -> read(p));
        reader.start();
    }

    private void read(Process p) {
        try (BufferedReader said = p.inputReader(StandardCharsets.UTF_8)) {
            for (String line = said.readLine(); line != null; line = said.readLine()) {
                String[] parts = line.split("\t", -1);
                if (parts.length == 3 || parts[0].equals("refused")) {
                    heard(parts);
                }
            }
        } catch (IOException e) {
            // it was killed
        }
    }

    private synchronized void heard(String[] line) {
        switch (line[0]) {
            case "about" -> {
                last = line[1];
                open.put(line[1], line[2]);
            }
            // said to have failed: it must not be there
            case "refused" -> open.remove(last);
            case "done" -> {
                confirmed++;
                open.remove(line[1]);
                if (line[2].isEmpty()) {
                    standing.remove(line[1]);
                } else {
                    standing.put(line[1], line[2]);
                }
            }
            default -> {
                // ready, ended, or half a line of one that was killed
            }
        }
    }

    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
        reader.join();
    }

    /** Ends it in the ordinary way. */
    void end() throws IOException, InterruptedException {
        if (process.isAlive()) {
            say("end");
            if (!process.waitFor(PATIENCE_S, TimeUnit.SECONDS)) {
                System.out.println(name + " did not end by itself");
                kill();
            }
        }
        reader.join();
    }

    void clock(Duration off) throws IOException {
        say("clock " + off.toSeconds());
    }

    private void say(String line) throws IOException {
        OutputStream out = process.getOutputStream();
        try {
            out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
            out.flush();
        } catch (IOException e) {
            if (process.isAlive()) {
                throw e;
            }
        }
    }

    /** The rest of the small disk is taken, or given back. */
    void diskFull(boolean full) throws IOException {
        Path filler = disk.resolve("filler");
        if (!full) {
            Files.deleteIfExists(filler);
            return;
        }
        if (Files.getFileStore(disk).getTotalSpace() > 64L * FILL) {
            return;
        }
        try (OutputStream out = Files.newOutputStream(filler)) {
            byte[] zeros = new byte[4096];
            while (true) {
                out.write(zeros);
            }
        } catch (IOException e) {
            // that was the aim
        }
    }

    /** How many of its confirmed tags a record lacks or has otherwise, or has and should not. */
    synchronized int lost(MatchRecord r) {
        Map<String, String> there = new TreeMap<>();
        int lost = 0;
        for (Tag t : r.tags()) {
            if (t instanceof Tag.Action a && a.technique().startsWith(name + "-")) {
                lost += there.put(a.technique(), String.valueOf(a.info().note())) == null ? 0 : 1;
            }
        }
        for (Map.Entry<String, String> e : standing.entrySet()) {
            String found = there.remove(e.getKey());
            boolean asOpen = open.containsKey(e.getKey())
                    && (found == null ? open.get(e.getKey()).isEmpty() : found.equals(open.get(e.getKey())));
            lost += e.getValue().equals(found) || asOpen ? 0 : 1;
        }
        there.keySet().removeIf(open::containsKey);
        return lost + there.size();
    }

    void unmount() throws IOException, InterruptedException {
        new ProcessBuilder("umount", disk.toString())
                .redirectErrorStream(true)
                .start()
                .waitFor();
    }
}
