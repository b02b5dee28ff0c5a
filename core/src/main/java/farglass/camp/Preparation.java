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

    public Preparation {
        skills = List.copyOf(skills);
    }

    /**
     * @param today first day when the camp names none
     * @param event day of the match
     */
    public static Preparation of(List<Skill> skills, Camp camp, LocalDate today, LocalDate event) {
        LocalDate from = camp.from() == null ? today : camp.from();
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

    public int minutes() {
        return allocation.rounds() * allocation.roundMinutes();
    }
}
