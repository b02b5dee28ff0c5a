package farglass.match;

import static java.util.Objects.requireNonNull;

import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The drawings of a film, kept in its open format beside the segments:
 * {@code "drawings": [{"ms", "heldMs", "marks": [{"kind", "who", "x1", "y1", "x2", "y2", "text"}]}]}. What cannot be
 * understood there is left alone and not shown.
 */
public final class Drawings {
    private static final String FIELD = "drawings";

    /** A drawing is shown at least so long. */
    private static final long LEAST_MS = 500;

    private Drawings() {}

    /** What is drawn on a film, by time; what cannot be read is left out. */
    public static List<Drawing> of(FilmRef film) {
        List<Drawing> found = new ArrayList<>();
        if (film.extra().get(FIELD) instanceof List<?> list) {
            for (Object o : list) {
                if (o instanceof Map<?, ?> m) {
                    read(m).ifPresent(found::add);
                }
            }
        }
        return found;
    }

    private static Optional<Drawing> read(Map<?, ?> m) {
        List<Drawing.Mark> marks = new ArrayList<>();
        if (m.get("marks") instanceof List<?> list) {
            for (Object o : list) {
                if (o instanceof Map<?, ?> mark) {
                    mark(mark).ifPresent(marks::add);
                }
            }
        }
        boolean timed = m.get("ms") instanceof Number at && at.longValue() >= 0;
        boolean held = m.get("heldMs") instanceof Number n && n.longValue() > 0;
        return timed && held && !marks.isEmpty()
                ? Optional.of(new Drawing(
                        FilmTime.ofMs(requireNonNull(((Number) m.get("ms"))).longValue()),
                        requireNonNull(((Number) m.get("heldMs"))).longValue(),
                        marks))
                : Optional.empty();
    }

    /** Reads one mark as {@link #plain} writes it; empty when it is none. */
    public static Optional<Drawing.Mark> mark(Map<?, ?> m) {
        Optional<Drawing.Kind> kind = Coded.parse(Drawing.Kind.class, String.valueOf(m.get("kind")));
        double[] at = new double[4];
        String[] names = {"x1", "y1", "x2", "y2"};
        for (int i = 0; i < 4; i++) {
            at[i] = m.get(names[i]) instanceof Number n ? n.doubleValue() : -1;
            if (!(at[i] >= 0 && at[i] <= 1)) {
                return Optional.empty();
            }
        }
        Corner who = "a".equals(m.get("who")) ? Corner.A : "b".equals(m.get("who")) ? Corner.B : null;
        String text = m.get("text") instanceof String s ? s : null;
        return kind.map(k -> new Drawing.Mark(k, who, at[0], at[1], at[2], at[3], text));
    }

    /** The film with one more mark at a moment; marks of the same moment make one drawing. */
    public static FilmRef add(FilmRef film, FilmTime at, Drawing.Mark mark) {
        List<Drawing> next = new ArrayList<>();
        boolean added = false;
        for (Drawing d : of(film)) {
            if (d.at().equals(at)) {
                List<Drawing.Mark> marks = new ArrayList<>(d.marks());
                marks.add(mark);
                next.add(new Drawing(at, d.heldMs(), marks));
                added = true;
            } else {
                next.add(d);
            }
        }
        if (!added) {
            next.add(new Drawing(at, Drawing.HELD_MS, List.of(mark)));
        }
        return with(film, next);
    }

    /** The film with what is drawn at a moment held longer or shorter, at least {@value #LEAST_MS} ms. */
    public static FilmRef held(FilmRef film, FilmTime f, long byMs) {
        return with(
                film,
                of(film).stream()
                        .map(d -> d.shownAt(f)
                                ? new Drawing(d.at(), Math.max(LEAST_MS, d.heldMs() + byMs), d.marks())
                                : d)
                        .toList());
    }

    /** The film without the drawings that are on the picture at a moment. */
    public static FilmRef clear(FilmRef film, FilmTime f) {
        return with(film, of(film).stream().filter(d -> !d.shownAt(f)).toList());
    }

    private static FilmRef with(FilmRef film, List<Drawing> drawings) {
        Map<String, Object> extra = new LinkedHashMap<>(film.extra());
        if (drawings.isEmpty()) {
            extra.remove(FIELD);
        } else {
            extra.put(
                    FIELD,
                    drawings.stream()
                            .sorted(Comparator.comparing(Drawing::at))
                            .map(Drawings::write)
                            .toList());
        }
        return new FilmRef(film.file(), film.sha256(), film.durationMs(), film.mirrored(), film.map(), extra);
    }

    private static Map<String, Object> write(Drawing d) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("ms", Plain.number(d.at().ms()));
        m.put("heldMs", Plain.number(d.heldMs()));
        m.put("marks", d.marks().stream().map(Drawings::plain).toList());
        return m;
    }

    /** A mark as plain values. */
    public static Map<String, Object> plain(Drawing.Mark mark) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("kind", mark.kind().code());
        if (mark.who() != null) {
            m.put("who", mark.who().code());
        }
        m.put("x1", mark.x1());
        m.put("y1", mark.y1());
        m.put("x2", mark.x2());
        m.put("y2", mark.y2());
        if (mark.text() != null) {
            m.put("text", mark.text());
        }
        return m;
    }
}
