package farglass.camp;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a team sets for a camp, and what its rounds have shown.
 *
 * @param from first day, or null while nobody has said
 * @param days of the week on which there is training
 * @param minutes of specific training on such a day, at least one round
 * @param roundMinutes length of a round, positive
 * @param restMinutes between rounds, not negative
 * @param skills settings by key of the skill; the others have the usual one
 * @param care the team's own words of caution; they stand beside the usual ones, never in their place
 * @param discount what a try in training counts against one in a match, 0..1
 * @param log oldest first
 */
public record Camp(
        @Nullable LocalDate from,
        Set<DayOfWeek> days,
        int minutes,
        int roundMinutes,
        int restMinutes,
        List<Partner> partners,
        Map<String, SkillSetting> skills,
        String care,
        double discount,
        List<Logged> log) {
    public static final Camp USUAL = new Camp(
            null,
            EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY),
            40,
            5,
            1,
            List.of(),
            Map.of(),
            "",
            0.3,
            List.of());

    public Camp {
        days = Set.copyOf(days);
        partners = List.copyOf(partners);
        skills = Map.copyOf(skills);
        log = List.copyOf(log);
        if (roundMinutes < 1 || minutes < roundMinutes || minutes > 600 || restMinutes < 0) {
            throw new IllegalArgumentException(minutes + " minutes a day in rounds of " + roundMinutes + " cannot be");
        }
        if (!(discount >= 0 && discount <= 1)) {
            throw new IllegalArgumentException("discount (" + discount + ") must lie in 0..1");
        }
    }

    /** Rounds that find room on one day. */
    public int roundsADay() {
        return (minutes + restMinutes) / (roundMinutes + restMinutes);
    }

    /** How a skill is trained here: as set, else the usual way. */
    public SkillSetting setting(Skill s) {
        return skills.getOrDefault(s.key(), SkillSetting.USUAL);
    }

    /** The same from another first day. */
    public Camp from(LocalDate day) {
        return new Camp(day, days, minutes, roundMinutes, restMinutes, partners, skills, care, discount, log);
    }

    /** The same on other days of the week. */
    public Camp days(Set<DayOfWeek> next) {
        return new Camp(from, next, minutes, roundMinutes, restMinutes, partners, skills, care, discount, log);
    }

    /** The same with other minutes of specific training a day, and of a round. */
    public Camp minutes(int aDay, int aRound) {
        return new Camp(from, days, aDay, aRound, restMinutes, partners, skills, care, discount, log);
    }

    /** The same with other partners. */
    public Camp partners(List<Partner> next) {
        return new Camp(from, days, minutes, roundMinutes, restMinutes, next, skills, care, discount, log);
    }

    /** The same with a skill trained otherwise. */
    public Camp setting(String skill, SkillSetting s) {
        Map<String, SkillSetting> next = new LinkedHashMap<>(skills);
        if (s.equals(SkillSetting.USUAL)) {
            next.remove(skill);
        } else {
            next.put(skill, s);
        }
        return new Camp(from, days, minutes, roundMinutes, restMinutes, partners, next, care, discount, log);
    }

    /** The same with cautions of the team's own beside the usual ones. */
    public Camp care(String words) {
        return new Camp(from, days, minutes, roundMinutes, restMinutes, partners, skills, words, discount, log);
    }

    /** The same with another weight of a try in training against one in a match, 0..1. */
    public Camp discount(double d) {
        return new Camp(from, days, minutes, roundMinutes, restMinutes, partners, skills, care, d, log);
    }

    /** The same with one entry more in the training log. */
    public Camp log(Logged entry) {
        List<Logged> next = new ArrayList<>(log);
        next.add(entry);
        next.sort(java.util.Comparator.comparing(Logged::date));
        return new Camp(from, days, minutes, roundMinutes, restMinutes, partners, skills, care, discount, next);
    }

    /** The same without an entry of the training log. */
    public Camp unlog(Logged entry) {
        List<Logged> next = new ArrayList<>(log);
        next.remove(entry);
        return new Camp(from, days, minutes, roundMinutes, restMinutes, partners, skills, care, discount, next);
    }
}
