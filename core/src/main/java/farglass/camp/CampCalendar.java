package farglass.camp;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The rounds of an allocation laid on training days. Hard and light days take turns; in the last week there is at most
 * one hard round a day, in the last three days none, and the day before the event is free.
 *
 * @param unplaced rounds that found no day
 */
public record CampCalendar(List<Day> days, int unplaced) {
    private static final int LAST_WEEK = 7;
    private static final int LAST_DAYS = 3;
    /** Of a hard day so many of its rounds are hard. */
    private static final double HARD_SHARE = 0.6;

    public CampCalendar {
        days = List.copyOf(days);
    }

    /** How hard a round is gone. */
    public enum Intensity {
        LIGHT,
        STEADY,
        HARD
    }

    /** One training day. */
    public record Day(LocalDate date, boolean hard, List<Round> rounds) {
        public Day {
            rounds = List.copyOf(rounds);
        }
    }

    /**
     * @param number on its day, from 1
     * @param partner name, or empty
     */
    public record Round(String skill, int number, Intensity intensity, String partner) {}

    /** Days with training from one day to the one before the last before the event, oldest first. */
    public static List<LocalDate> dates(Camp camp, LocalDate from, LocalDate event) {
        List<LocalDate> dates = new ArrayList<>();
        for (LocalDate d = from; d.isBefore(event.minusDays(1)); d = d.plusDays(1)) {
            if (camp.days().contains(d.getDayOfWeek())) {
                dates.add(d);
            }
        }
        return dates;
    }

    /** @param event day of the match */
    public static CampCalendar of(Camp camp, Allocation allocation, LocalDate from, LocalDate event) {
        Map<String, Integer> left = new LinkedHashMap<>();
        Map<String, Integer> all = new LinkedHashMap<>();
        allocation.shares().forEach(s -> {
            if (s.rounds() > 0) {
                left.put(s.want().skill(), s.rounds());
                all.put(s.want().skill(), s.rounds());
            }
        });
        List<Day> days = new ArrayList<>();
        boolean hard = true;
        int turn = 0;
        for (LocalDate date : dates(camp, from, event)) {
            List<Round> rounds = new ArrayList<>();
            Map<String, Integer> today = new LinkedHashMap<>();
            int hardest = hardest(date, event, hard, camp.roundsADay());
            while (rounds.size() < camp.roundsADay()) {
                String skill = next(left, all, today);
                if (skill == null) {
                    break;
                }
                left.merge(skill, -1, Integer::sum);
                today.merge(skill, 1, Integer::sum);
                Intensity i = rounds.size() < hardest
                        ? Intensity.HARD
                        : hard && !near(date, event, LAST_DAYS) ? Intensity.STEADY : Intensity.LIGHT;
                rounds.add(new Round(skill, rounds.size() + 1, i, partner(camp, skill, turn++)));
            }
            days.add(new Day(date, hardest > 0, rounds));
            hard = !hard;
        }
        return new CampCalendar(days, left.values().stream().mapToInt(n -> n).sum());
    }

    private static boolean near(LocalDate date, LocalDate event, int days) {
        return !date.isBefore(event.minusDays(days));
    }

    private static int hardest(LocalDate date, LocalDate event, boolean hard, int rounds) {
        if (!hard || near(date, event, LAST_DAYS)) {
            return 0;
        }
        return near(date, event, LAST_WEEK) ? Math.min(1, rounds) : (int) Math.ceil(HARD_SHARE * rounds);
    }

    /** Whatever is furthest behind its share, but nothing a third time on a day while there is something else. */
    private static @Nullable String next(
            Map<String, Integer> left, Map<String, Integer> all, Map<String, Integer> today) {
        String best = null;
        double most = -1;
        for (Map.Entry<String, Integer> e : left.entrySet()) {
            if (e.getValue() > 0) {
                int already = today.getOrDefault(e.getKey(), 0);
                double behind = e.getValue() / (double) requireNonNull(all.get(e.getKey()))
                        - (already >= 2 ? 10 : 0.01 * already);
                if (best == null || behind > most) {
                    most = behind;
                    best = e.getKey();
                }
            }
        }
        return best;
    }

    /** One who can imitate it where there is one, else everybody in turn. */
    private static String partner(Camp camp, String skill, int turn) {
        String technique = skill.substring(1);
        List<Partner> able = camp.partners().stream()
                .filter(p -> p.imitates().contains(technique))
                .toList();
        List<Partner> some = able.isEmpty() ? camp.partners() : able;
        return some.isEmpty() ? "" : some.get(turn % some.size()).name();
    }

    /** Number of rounds of a kind, for a look at the whole. */
    public long rounds(Intensity i) {
        return days.stream()
                .flatMap(d -> d.rounds().stream())
                .filter(r -> r.intensity() == i)
                .count();
    }
}
