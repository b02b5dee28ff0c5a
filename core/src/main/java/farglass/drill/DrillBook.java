package farglass.drill;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What one person has learned: how every drill is remembered, and how often it was right. Kept as one line of text a
 * drill.
 *
 * @param lines by id of the drill
 */
public record DrillBook(Map<String, Line> lines) {
    public static final DrillBook EMPTY = new DrillBook(Map.of());
    private static final int PARTS = 8;

    public DrillBook {
        lines = Map.copyOf(lines);
    }

    /**
     * @param trigger technique that it is about
     * @param right answers that were right
     * @param asked answers in all
     */
    public record Line(Memory memory, @Nullable String trigger, int right, int asked) {}

    /** A right or wrong answer, or none. */
    public DrillBook answered(Drill d, int quality, LocalDate today) {
        Line old = lines.getOrDefault(d.id(), new Line(Memory.fresh(today), d.trigger(), 0, 0));
        Map<String, Line> next = new LinkedHashMap<>(lines);
        next.put(
                d.id(),
                new Line(
                        old.memory().answered(quality, today),
                        d.trigger(),
                        old.right() + (quality >= 3 ? 1 : 0),
                        old.asked() + 1));
        return new DrillBook(next);
    }

    /** What is to be asked: the longest overdue first, then what was never asked, in the order given. */
    public Optional<Drill> next(Collection<Drill> drills, LocalDate today) {
        Drill best = null;
        LocalDate due = null;
        Drill fresh = null;
        for (Drill d : drills) {
            Line l = lines.get(d.id());
            if (l == null) {
                fresh = fresh == null ? d : fresh;
            } else if (!l.memory().due().isAfter(today)
                    && (due == null || l.memory().due().isBefore(due))) {
                best = d;
                due = l.memory().due();
            }
        }
        return Optional.ofNullable(best == null ? fresh : best);
    }

    /** Drills that are due or new. */
    public long open(Collection<Drill> drills, LocalDate today) {
        return drills.stream()
                .filter(d -> !lines.containsKey(d.id())
                        || !lines.get(d.id()).memory().due().isAfter(today))
                .count();
    }

    /** Right answers and answers by technique. */
    public Map<String, int[]> progress() {
        Map<String, int[]> sums = new java.util.TreeMap<>();
        lines.values().forEach(l -> {
            int[] n = sums.computeIfAbsent(l.trigger(), k -> new int[2]);
            n[0] += l.right();
            n[1] += l.asked();
        });
        return sums;
    }

    /** The book as text, one drill a line; {@code read} gives it back. */
    public String text() {
        StringBuilder text = new StringBuilder();
        new java.util.TreeMap<>(lines)
                .forEach((id, l) -> text.append(String.join(
                                "\t",
                                id,
                                l.trigger(),
                                Double.toString(l.memory().ease()),
                                Integer.toString(l.memory().intervalDays()),
                                Integer.toString(l.memory().repetitions()),
                                l.memory().due().toString(),
                                Integer.toString(l.right()),
                                Integer.toString(l.asked())))
                        .append('\n'));
        return text.toString();
    }

    /** What {@link #text} gave; a line that cannot be read is left out, so that the others are kept. */
    public static DrillBook read(String text) {
        Map<String, Line> lines = new LinkedHashMap<>();
        for (String line : text.split("\n")) {
            List<String> p = new ArrayList<>(List.of(line.split("\t", -1)));
            if (p.size() != PARTS) {
                continue;
            }
            try {
                Memory m = new Memory(
                        Double.parseDouble(p.get(2)),
                        Integer.parseInt(p.get(3)),
                        Integer.parseInt(p.get(4)),
                        LocalDate.parse(p.get(5)));
                lines.put(p.get(0), new Line(m, p.get(1), Integer.parseInt(p.get(6)), Integer.parseInt(p.get(7))));
            } catch (NumberFormatException | DateTimeParseException e) {
                // one broken line loses one drill's memory, and it is asked as new
            }
        }
        return new DrillBook(lines);
    }
}
