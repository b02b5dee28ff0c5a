package farglass.store.camp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.camp.Camp;
import farglass.camp.CardWriter;
import farglass.camp.Logged;
import farglass.camp.Partner;
import farglass.camp.Preparation;
import farglass.camp.Skill;
import farglass.camp.SkillSetting;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.PlanJson;
import farglass.store.table.CampTable;
import java.io.StringReader;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CampFilesTest {
    private static final LocalDate EVENT = LocalDate.of(2031, 5, 3);
    private static final Camp CAMP = Camp.USUAL
            .from(LocalDate.of(2031, 4, 1))
            .days(Set.of(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY))
            .minutes(35, 5)
            .partners(List.of(new Partner("Ilse, the tall one", Set.of("triangle"))))
            .setting("-triangle", SkillSetting.USUAL.gain(0.2).least(20))
            .care("No jumping")
            .discount(0.4)
            .log(new Logged(LocalDate.of(2031, 4, 3), "-triangle", 9, 4, "late with the elbow"));
    private static final Preparation PREPARATION = Preparation.of(
            List.of(new Skill("triangle", false, 0.02, List.of()), new Skill("knee-cut", true, 0.01, List.of())),
            CAMP,
            EVENT,
            EVENT);

    private static String ics(String title) {
        return CampIcs.write(
                PREPARATION.calendar(),
                CAMP,
                title,
                k -> k.equals("-triangle") ? "stopping the triangle; posture, early" : "knee cut",
                CardWriter.care(Locale.ENGLISH),
                EVENT,
                "Lantern Bay Open");
    }

    @Test
    void theCalendarIsReadBackByACalendarLibrary() throws Exception {
        Calendar c = new CalendarBuilder().build(new StringReader(ics("Camp, spring; one")));
        List<VEvent> events = c.getComponents("VEVENT");
        assertThat(events).hasSize(PREPARATION.calendar().days().size() + 1);
        VEvent first = events.get(0);
        assertThat(first.getSummary().getValue()).isEqualTo("Camp, spring; one");
        assertThat(first.getDateTimeStart().getDate()).isEqualTo(LocalDate.of(2031, 4, 1));
        assertThat(first.getDescription().getValue())
                .contains("stopping the triangle; posture, early", "Ilse, the tall one", "5 min")
                .contains("Tap early");
        assertThat(events.get(events.size() - 1).getSummary().getValue()).isEqualTo("Lantern Bay Open");
        assertThat(events).extracting(e -> e.getUid().orElseThrow().getValue()).doesNotHaveDuplicates();
        c.validate();
    }

    @Test
    void theSameDayKeepsItsIdentity() throws Exception {
        Calendar one = new CalendarBuilder().build(new StringReader(ics("Camp")));
        Calendar two = new CalendarBuilder().build(new StringReader(ics("Camp")));
        VEvent a = (VEvent) one.getComponents("VEVENT").get(0);
        VEvent b = (VEvent) two.getComponents("VEVENT").get(0);
        assertThat(a.getUid()).isEqualTo(b.getUid());
    }

    @Test
    void theTableIsReadBackByATableLibrary() throws Exception {
        String text = CampTable.write(PREPARATION.calendar(), CAMP, k -> "=1+1 " + k);
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(text))
                .getRecords();
        assertThat(rows).hasSize(PREPARATION.allocation().rounds());
        assertThat(rows.get(0).get("date")).isEqualTo("2031-04-01");
        assertThat(rows.get(0).get("name")).as("no formula").startsWith("'=1+1");
        assertThat(rows.get(0).get("partner")).isEqualTo("Ilse, the tall one");
        assertThat(rows.get(0).get("tries")).isEmpty();
    }

    @Test
    void aCampComesBackAsItWas() throws Exception {
        Plan p = Plan.empty("p", "Plan", "us", "them").camp(CAMP);
        assertThat(PlanJson.read(PlanJson.write(p))).isEqualTo(p);
        String old = PlanJson.write(p);
        old = old.substring(0, old.indexOf("\"camp\"")) + old.substring(old.indexOf("\"saved\""));
        assertThat(PlanJson.read(old).camp())
                .as("older plans have the usual one")
                .isEqualTo(Camp.USUAL);
    }

    @ParameterizedTest
    @CsvSource({
        "'\"successes\" : 4', '\"successes\" : 40', /camp/log/0",
        "'\"tue\"', '\"dienstag\"', dienstag",
        "'\"minutes\" : 35', '\"minutes\" : 2', /camp/minutes",
        "'\"discount\" : 0.4', '\"discount\" : 4', /camp/discount",
        "'\"scaleMinutes\" : 120.0', '\"scaleMinutes\" : 0', /camp/skills/-triangle",
        "'2031-04-03', 'in April', /camp/log/0",
        "'\"name\" : \"Ilse, the tall one\"', '\"name\" : \"\"', /camp/partners/0"
    })
    void whatIsWrongIsNamed(String right, String wrong, String named) {
        String text = PlanJson.write(Plan.empty("p", "Plan", "us", "them").camp(CAMP));
        assertThat(text).contains(right);
        assertThatThrownBy(() -> PlanJson.read(text.replace(right, wrong)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(named);
    }
}
