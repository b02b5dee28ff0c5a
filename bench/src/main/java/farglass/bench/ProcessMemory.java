package farglass.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.management.JMException;
import javax.management.ObjectName;

/**
 * What this process holds of the machine's memory, told apart. All in KiB, as the system counts resident pages.
 *
 * @param wholeKb now
 * @param highestKb the most there ever was
 * @param heapKb pages of the Java heap that were touched, with living objects or not
 * @param livingKb objects on the heap, some of them not yet collected
 */
record ProcessMemory(long wholeKb, long highestKb, long heapKb, long livingKb) {
    private static final Pattern RANGE = Pattern.compile("0x([0-9a-f]+), (?:0x[0-9a-f]+, )?0x([0-9a-f]+)\\)");
    private static final Pattern MAPPING = Pattern.compile("([0-9a-f]+)-([0-9a-f]+) .*");

    static ProcessMemory now() throws IOException, JMException {
        List<String> status = Files.readAllLines(Path.of("/proc/self/status"));
        return new ProcessMemory(
                kb(status, "VmRSS:"),
                kb(status, "VmHWM:"),
                heap(),
                ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() / 1024);
    }

    /** What is not the Java heap: picture buffers, decoders, compiled code, classes, the allocator's slack. */
    long restKb() {
        return wholeKb - heapKb;
    }

    private static long kb(List<String> lines, String which) throws IOException {
        for (String line : lines) {
            if (line.startsWith(which)) {
                return Long.parseLong(line.replaceAll("\\D", ""));
            }
        }
        throw new IOException("this system does not say how much memory a process has");
    }

    /** The collector says where its generations lie; the system, which pages there are resident. */
    private static long heap() throws IOException, JMException {
        String said = (String) ManagementFactory.getPlatformMBeanServer()
                .invoke(
                        new ObjectName("com.sun.management:type=DiagnosticCommand"),
                        "gcHeapInfo",
                        new Object[0],
                        new String[0]);
        long from = Long.MAX_VALUE;
        long to = 0;
        for (Matcher m = RANGE.matcher(said.substring(0, said.indexOf("Metaspace"))); m.find(); ) {
            from = Math.min(from, Long.parseUnsignedLong(m.group(1), 16));
            to = Math.max(to, Long.parseUnsignedLong(m.group(2), 16));
        }
        long sum = 0;
        boolean inside = false;
        for (String line : Files.readAllLines(Path.of("/proc/self/smaps"))) {
            Matcher m = MAPPING.matcher(line);
            if (m.matches()) {
                inside = Long.parseUnsignedLong(m.group(1), 16) >= from && Long.parseUnsignedLong(m.group(2), 16) <= to;
            } else if (inside && line.startsWith("Rss:")) {
                sum += Long.parseLong(line.replaceAll("\\D", ""));
            }
        }
        return sum;
    }

    @Override
    public String toString() {
        return String.format(
                Locale.ROOT,
                "%6.1f MB (most %.1f): Java heap %.1f, objects %.1f, all else %.1f",
                wholeKb / 1024.0,
                highestKb / 1024.0,
                heapKb / 1024.0,
                livingKb / 1024.0,
                restKb() / 1024.0);
    }
}
