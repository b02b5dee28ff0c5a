package farglass.camp;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What must hold of every camp, however it is set. */
class CalendarPropertyTest {
    private static final LocalDate EVENT = LocalDate.of(2031, 5, 3);

    private static Camp camp(Random random) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (DayOfWeek d : DayOfWeek.values()) {
            if (random.nextBoolean()) {
                days.add(d);
            }
        }
        int round = 3 + random.nextInt(8);
        Camp c = Camp.USUAL.days(days).minutes(round + random.nextInt(80), round);
        List<Partner> partners = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            partners.add(new Partner("P" + i, random.nextBoolean() ? Set.of("t" + random.nextInt(5)) : Set.of()));
        }
        return c.partners(partners);
    }

    @Test
    void nothingIsLostAddedOrLaidOnAWrongDay() {
        Random random = new Random(11);
        for (int run = 0; run < 200; run++) {
            Camp camp = camp(random);
            List<Skill> skills = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(6); i++) {
                skills.add(new Skill("t" + i, random.nextBoolean(), 0.001 + 0.02 * random.nextDouble(), List.of()));
            }
            LocalDate from = EVENT.minusDays(random.nextInt(60));
            Preparation p = Preparation.of(skills, camp.from(from), EVENT, EVENT);
            Map<String, Integer> placed = new HashMap<>();
            LocalDate last = null;
            for (CampCalendar.Day d : p.calendar().days()) {
                assertThat(d.date()).isBetween(from, EVENT.minusDays(2));
                assertThat(camp.days()).contains(d.date().getDayOfWeek());
                assertThat(last == null || last.isBefore(d.date())).isTrue();
                last = d.date();
                assertThat(d.rounds().size()).isLessThanOrEqualTo(camp.roundsADay());
                int used = d.rounds().size() * camp.roundMinutes()
                        + Math.max(0, d.rounds().size() - 1) * camp.restMinutes();
                assertThat(used).as("minutes of a day").isLessThanOrEqualTo(camp.minutes());
                for (CampCalendar.Round r : d.rounds()) {
                    placed.merge(r.skill(), 1, Integer::sum);
                    boolean near = !d.date().isBefore(EVENT.minusDays(3));
                    assertThat(near && r.intensity() == CampCalendar.Intensity.HARD)
                            .isFalse();
                }
            }
            for (Allocation.Share s : p.allocation().shares()) {
                assertThat(placed.getOrDefault(s.want().skill(), 0))
                        .as(s.want().skill())
                        .isEqualTo(s.rounds());
            }
            assertThat(p.calendar().unplaced()).isZero();
            assertThat(p.minutes()).isEqualTo(p.allocation().rounds() * camp.roundMinutes());
        }
    }

    @Test
    void moreMinutesNeverBringLess() {
        Random random = new Random(12);
        for (int run = 0; run < 50; run++) {
            List<Allocation.Want> wants = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                wants.add(new Allocation.Want(
                        "+t" + i,
                        0.02 * random.nextDouble(),
                        new SkillSetting(0.1, 30 + 200 * random.nextDouble(), 10 * random.nextInt(3), false)));
            }
            double before = -1;
            for (int rounds = 10; rounds < 60; rounds += 5) {
                double now = Allocation.of(wants, rounds, 5).worth();
                assertThat(now).isGreaterThanOrEqualTo(before);
                before = now;
            }
        }
    }
}
