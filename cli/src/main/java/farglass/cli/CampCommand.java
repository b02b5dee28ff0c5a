package farglass.cli;

import farglass.camp.Allocation;
import farglass.camp.Camp;
import farglass.camp.CampCalendar;
import farglass.camp.CardWriter;
import farglass.camp.Preparation;
import farglass.camp.Skill;
import farglass.camp.SkillSetting;
import farglass.text.Language;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Shares training minutes out among what a computed plan depends on, and lays the rounds on days. */
@Command(
        name = "camp",
        description = "Prints minutes and days of training for a computed plan",
        mixinStandardHelpOptions = true)
final class CampCommand implements Callable<Integer> {
    private final Output output;

    @Option(
            names = "--plan",
            required = true,
            paramLabel = "PLAN.json",
            description = "what ./farglass plan has printed")
    private java.nio.file.Path plan;

    @Option(names = "--from", required = true, paramLabel = "DATE", description = "first day")
    private LocalDate from;

    @Option(names = "--event", required = true, paramLabel = "DATE", description = "day of the match")
    private LocalDate event;

    @Option(
            names = "--minutes",
            required = true,
            paramLabel = "N",
            description = "minutes of specific training on a day")
    private int minutes;

    @Option(names = "--days", split = ",", paramLabel = "DAY", description = "days of training, such as mon,wed,fri")
    private List<String> days = List.of("mon", "wed", "fri", "sat");

    @Option(names = "--round", paramLabel = "N", description = "minutes of a round")
    private int round = Camp.USUAL.roundMinutes();

    @Spec
    private picocli.CommandLine.Model.CommandSpec spec;

    CampCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        Camp camp;
        try {
            camp = Camp.USUAL.from(from).days(weekdays()).minutes(minutes, round);
        } catch (IllegalArgumentException e) {
            throw new ParameterException(spec.commandLine(), e.getMessage());
        }
        Preparation p = Preparation.of(PlanFile.proposal(plan).skills(), camp, from, event);
        output.print(document(p, camp));
        return CliMain.DONE;
    }

    private Set<DayOfWeek> weekdays() {
        Set<DayOfWeek> set = EnumSet.noneOf(DayOfWeek.class);
        for (String code : days) {
            DayOfWeek day = null;
            for (DayOfWeek d : DayOfWeek.values()) {
                if (d.name().substring(0, 3).equalsIgnoreCase(code.strip())) {
                    day = d;
                }
            }
            if (day == null) {
                throw new IllegalArgumentException("'" + code + "' is no day like mon");
            }
            set.add(day);
        }
        return set;
    }

    private static Map<String, Object> document(Preparation p, Camp camp) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("minutes", p.minutes());
        m.put("gain", p.allocation().worth());
        m.put("bound", p.allocation().bound());
        List<Object> skills = new ArrayList<>();
        for (Allocation.Share s : p.allocation().shares()) {
            Skill skill = p.skill(s.want().skill());
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("skill", skill.key());
            row.put("minutes", s.rounds() * camp.roundMinutes());
            row.put("rounds", s.rounds());
            row.put("gain", s.worth());
            row.put("next", s.next());
            skills.add(row);
        }
        m.put("skills", skills);
        List<Object> list = new ArrayList<>();
        for (CampCalendar.Day d : p.calendar().days()) {
            Map<String, Object> day = new LinkedHashMap<>();
            day.put("date", d.date().toString());
            day.put("hard", d.hard());
            List<Object> rounds = new ArrayList<>();
            for (CampCalendar.Round r : d.rounds()) {
                Map<String, Object> row = new LinkedHashMap<>();
                row.put("skill", r.skill());
                row.put("intensity", r.intensity().name().toLowerCase(Locale.ROOT));
                row.put("minutes", camp.roundMinutes());
                rounds.add(row);
            }
            day.put("rounds", rounds);
            list.add(day);
        }
        m.put("days", list);
        Map<String, Object> settings = new LinkedHashMap<>();
        settings.put("gain", SkillSetting.USUAL.gain());
        settings.put("scaleMinutes", SkillSetting.USUAL.scaleMinutes());
        m.put("settings", settings);
        m.put("care", CardWriter.care(Language.locale()));
        return m;
    }
}
