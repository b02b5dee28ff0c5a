package farglass.rules;

import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Score.Advantage;
import farglass.rules.Score.Award;
import farglass.rules.Score.Difference;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Holds the table's calls against the score worked out. */
final class TableCheck {
    /** A call belongs to an award confirmed at most so long before or after it. */
    private static final long WINDOW_MS = 15_000;

    private final MatchRecord record;
    private final List<Difference> differences = new ArrayList<>();

    private TableCheck(MatchRecord record) {
        this.record = record;
    }

    /** What is to be matched with calls: points given at one moment, or an advantage. */
    private record Due(long t, Corner who, int value, String what, int tag) {}

    /** None while the table called nothing at all. */
    static List<Difference> of(MatchRecord record, List<Award> awards, List<Advantage> advantages) {
        TableCheck check = new TableCheck(record);
        boolean calls = record.tags().stream()
                .anyMatch(t -> t instanceof Tag.Call c
                        && c.called()
                        && (c.call() == CallKind.POINTS || c.call() == CallKind.ADVANTAGE));
        if (!calls) {
            return List.of();
        }
        check.compare(CallKind.POINTS, check.points(awards));
        check.compare(
                CallKind.ADVANTAGE,
                advantages.stream()
                        .filter(a -> !a.from().equals("penalty"))
                        .map(a ->
                                new Due(a.t().ms(), a.who(), 1, CoreWords.of("table.advantage.why", a.why()), a.tag()))
                        .toList());
        check.differences.sort(Comparator.comparing(Difference::t));
        return check.differences;
    }

    /** Points confirmed at one moment are called together. */
    private List<Due> points(List<Award> awards) {
        List<Due> due = new ArrayList<>();
        for (Award a : awards) {
            if (a.award().equals("penalty") || a.award().equals("guard-pull")) {
                continue;
            }
            Due last = due.isEmpty() ? null : due.get(due.size() - 1);
            if (last != null
                    && last.who() == a.who()
                    && last.t() == a.confirmedAt().ms()) {
                due.set(
                        due.size() - 1,
                        new Due(
                                last.t(),
                                last.who(),
                                last.value() + a.value(),
                                CoreWords.of("table.and", last.what(), CoreWords.code(a.award())),
                                last.tag()));
            } else {
                due.add(new Due(
                        a.confirmedAt().ms(),
                        a.who(),
                        a.value(),
                        CoreWords.of("table.for", a.value(), CoreWords.code(a.award())),
                        a.tag()));
            }
        }
        return due;
    }

    private void compare(CallKind kind, List<Due> due) {
        List<Due> open = new ArrayList<>(due);
        List<Integer> unmatched = new ArrayList<>();
        for (int i = 0; i < record.tags().size(); i++) {
            if (record.tags().get(i) instanceof Tag.Call c && c.called() && c.call() == kind) {
                int value = kind == CallKind.POINTS && c.value() != null ? c.value() : 1;
                Due nearest = open.stream()
                        .filter(d -> d.who() == c.who() && d.value() == value)
                        .filter(d -> Math.abs(d.t() - c.t().ms()) <= WINDOW_MS)
                        .min(Comparator.comparingLong(d -> Math.abs(d.t() - c.t().ms())))
                        .orElse(null);
                if (nearest == null) {
                    unmatched.add(i);
                } else {
                    open.remove(nearest);
                }
            }
        }
        for (int i : unmatched) {
            Tag.Call c = (Tag.Call) record.tags().get(i);
            Due other = open.stream()
                    .filter(d -> d.who() == c.who() && Math.abs(d.t() - c.t().ms()) <= WINDOW_MS)
                    .findFirst()
                    .orElse(null);
            open.remove(other);
            String table =
                    kind == CallKind.POINTS ? CoreWords.of("table.points", c.value()) : CoreWords.of("table.advantage");
            differences.add(new Difference(
                    c.t(), c.who(), table, other == null ? null : other.what(), message(table, other), i));
        }
        for (Due d : open) {
            differences.add(new Difference(
                    MatchTime.ofMs(d.t()), d.who(), null, d.what(), CoreWords.of("table.nothing", d.what()), d.tag()));
        }
    }

    private static String message(String table, @Nullable Due other) {
        return other == null ? CoreWords.of("table.unworth", table) : CoreWords.of("table.other", table, other.what());
    }
}
