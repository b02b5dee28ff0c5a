package farglass.store.bundle;

import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import farglass.store.json.TextFile;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * Match records and plans in one zip. Reading takes documents only, into memory: no entry is ever written to a path it
 * names, and sizes and counts are limited, so that a hostile bundle costs an error and nothing else.
 *
 * @param records match records
 * @param plans plans
 */
public record Bundle(List<MatchRecord> records, List<Plan> plans) {
    static final String MARK = "farglass.library";
    static final String FORMAT = "farglass.library/1";
    static final int MAX_ENTRIES = 20_000;
    static final long MAX_ENTRY_BYTES = MatchJson.MOST_MB * 1024L * 1024;
    /**
     * All documents together: a library of five thousand matches, which in memory takes one and a half times as much.
     */
    static final int MOST_MB = 160;

    static final long MAX_BYTES = MOST_MB * 1024L * 1024;

    public Bundle {
        records = List.copyOf(records);
        plans = List.copyOf(plans);
    }

    /** Whether the file begins like a zip. */
    public static boolean isBundle(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] head = in.readNBytes(4);
            return head.length == 4 && head[0] == 'P' && head[1] == 'K' && head[2] == 3 && head[3] == 4;
        }
    }

    /** Writes the bundle beside the target and moves it into place, so that a half-written one is never seen. */
    public void write(Path target) throws IOException {
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            try (OutputStream file = Files.newOutputStream(part);
                    ZipOutputStream zip = new ZipOutputStream(file, StandardCharsets.UTF_8)) {
                entry(zip, MARK, FORMAT);
                FileNames names = new FileNames();
                for (MatchRecord r : records) {
                    entry(zip, "matches/" + names.next(r.id()) + ".match.json", MatchJson.write(r));
                }
                names = new FileNames();
                for (Plan p : plans) {
                    entry(zip, "plans/" + names.next(p.id()) + ".plan.json", PlanJson.write(p));
                }
            }
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static void entry(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    /**
     * @throws FormatException when it is not a bundle, holds a path that leads outside, is too large, or a document in
     * it cannot be read; the message names the entry
     */
    public static Bundle read(Path file) throws IOException, FormatException {
        List<MatchRecord> records = new ArrayList<>();
        List<Plan> plans = new ArrayList<>();
        Set<String> names = new LinkedHashSet<>();
        long total = 0;
        boolean marked = false;
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(file), StandardCharsets.UTF_8)) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                String name = e.getName();
                check(name, names);
                byte[] bytes = content(zip, name);
                total += bytes.length;
                if (total > MAX_BYTES) {
                    throw new FormatException(
                            "", "the bundle unpacks to more than " + MOST_MB + " MB: export it in parts");
                }
                String text = named(name, () -> TextFile.decode(bytes));
                if (name.equals(MARK)) {
                    marked = true;
                    if (!text.strip().equals(FORMAT)) {
                        throw new FormatException("", "the bundle says " + shortened(text) + ", not " + FORMAT);
                    }
                } else if (name.endsWith(".match.json")) {
                    records.add(named(name, () -> MatchJson.fromOutside(bytes)));
                } else if (name.endsWith(".plan.json")) {
                    plans.add(named(name, () -> PlanJson.read(text)));
                }
            }
        } catch (EOFException e) {
            throw new FormatException("", "the bundle ends in the middle of an entry: it was not copied whole");
        } catch (ZipException | IllegalArgumentException e) {
            // the second is what the JDK throws for an entry name that is not UTF-8
            throw new FormatException("", "the zip is damaged (" + e.getMessage() + ")");
        }
        if (!marked) {
            throw new FormatException("", "not a library bundle: it has no entry " + MARK);
        }
        return new Bundle(records, plans);
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "..." : text.strip();
    }

    private static void check(String name, Set<String> names) throws FormatException {
        if (name.startsWith("/") || name.contains("..") || name.contains("\\") || name.contains(":")) {
            throw new FormatException("", "the entry \"" + shortened(name) + "\" leads outside the bundle");
        }
        if (!names.add(name)) {
            throw new FormatException("", "the entry \"" + shortened(name) + "\" is there twice");
        }
        if (names.size() > MAX_ENTRIES) {
            throw new FormatException("", "more than " + MAX_ENTRIES + " entries");
        }
    }

    private static byte[] content(InputStream in, String name) throws IOException, FormatException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] buffer = new byte[64 * 1024];
        for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
            out.write(buffer, 0, n);
            if (out.size() > MAX_ENTRY_BYTES) {
                throw new FormatException(
                        "", "the entry \"" + shortened(name) + "\" unpacks to more than " + MatchJson.MOST_MB + " MB");
            }
        }
        return out.toByteArray();
    }

    private interface Reading<T> {
        T read() throws FormatException;
    }

    private static <T> T named(String name, Reading<T> reading) throws FormatException {
        try {
            return reading.read();
        } catch (FormatException e) {
            throw new FormatException("", shortened(name) + " " + e.getMessage());
        }
    }
}
