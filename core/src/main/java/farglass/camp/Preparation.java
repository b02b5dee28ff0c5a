package farglass.camp;

import java.time.LocalDate;
import java.util.List;

/**
 * A camp worked out: which skills, how many minutes each, on which days.
 *
 * @param skills the most valuable first
 * @param event day of the match
 */
public record Preparation(List<Skill> skills, Allocation allocation, CampCalendar calendar, LocalDate event) {
    /** Skills that a camp is shared out among. */
    public static final int SKILLS = 14;

    private static final int USUAL_DAYS = 28;

    public Preparation {
        skills = List.copyOf(skills);
    }

    /**
     * @param today a camp that names no first day begins four weeks before the event, but not before today
     * @param event day of the match
     */
    public static Preparation of(List<Skill> skills, Camp camp, LocalDate today, LocalDate event) {
        LocalDate usual = event.minusDays(USUAL_DAYS);
        LocalDate from = camp.from() != null ? camp.from() : today.isAfter(usual) ? today : usual;
        int rounds = CampCalendar.dates(camp, from, event).size() * camp.roundsADay();
        List<Allocation.Want> wants = skills.stream()
                .map(s -> new Allocation.Want(s.key(), s.worth(), camp.setting(s)))
                .toList();
        Allocation a = Allocation.of(wants, rounds, camp.roundMinutes());
        return new Preparation(skills, a, CampCalendar.of(camp, a, from, event), event);
    }

    /** The skill of a key, which must be one of this camp. */
    public Skill skill(String key) {
        return skills.stream().filter(s -> s.key().equals(key)).findFirst().orElseThrow();
    }

    /** All minutes of specific training until the event. */
    public int minutes() {
        return allocation.rounds() * allocation.roundMinutes();
    }
}
