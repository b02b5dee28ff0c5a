package farglass.store.camp;

import farglass.camp.Camp;
import farglass.camp.CampCalendar;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.UUID;
import java.util.function.Function;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** The training days of a camp as an iCalendar (RFC 5545), one event of a whole day each. */
public final class CampIcs {
    private CampIcs() {}

    /**
     * @param title what stands on every day, such as the name of the camp
     * @param skill words for the key of a skill
     * @param care words of caution, repeated on every day
     * @param event day of the match, which stands in the calendar too
     */
    public static String write(
            CampCalendar days,
            Camp camp,
            String title,
            Function<String, String> skill,
            String care,
            LocalDate event,
            String eventName) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Far Glass//camp//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        for (CampCalendar.Day d : days.days()) {
            StringBuilder text = new StringBuilder();
            for (CampCalendar.Round r : d.rounds()) {
                text.append(r.number())
                        .append(". ")
                        .append(skill.apply(r.skill()))
                        .append(", ")
                        .append(camp.roundMinutes())
                        .append(" min, ")
                        .append(r.intensity().name().toLowerCase(java.util.Locale.ROOT))
                        .append(r.partner().isEmpty() ? "" : ", " + r.partner())
                        .append('\n');
            }
            calendar.add(event(d.date(), title, text + "\n" + care));
        }
        calendar.add(event(event, eventName, care));
        try (StringWriter out = new StringWriter()) {
            // folds lines at 75 octets, as RFC 5545, section 3.1, asks
            new CalendarOutputter(false).output(calendar, out);
            return out.toString();
        } catch (IOException e) {
            throw new IllegalStateException("a calendar in memory cannot fail to be written", e);
        }
    }

    /** The same day of the same camp keeps its identity, so that a calendar read again changes and does not double. */
    private static VEvent event(LocalDate date, String title, String text) {
        VEvent e = new VEvent(date, title);
        e.add(new Uid(UUID.nameUUIDFromBytes((title + date).getBytes(StandardCharsets.UTF_8)) + "@farglass"));
        e.add(new Description(text));
        return e;
    }
}
