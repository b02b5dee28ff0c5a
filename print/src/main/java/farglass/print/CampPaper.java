package farglass.print;

import farglass.camp.Camp;
import farglass.camp.CampCalendar;
import farglass.camp.Card;
import farglass.camp.Preparation;
import farglass.text.Language;
import farglass.time.Dates;
import farglass.type.Typeface;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.apache.pdfbox.pdmodel.PDDocument;

/** A camp on paper: the days with their rounds, then one card for every skill; the cautions stand on every page. */
public final class CampPaper {
    private static final double CARD_HEIGHT = 330;

    private final Preparation preparation;
    private final Camp camp;
    private final List<Card> cards;
    private final String title;
    private final String occasion;
    private final String care;
    private final Function<String, String> skill;

    /**
     * @param cards of the skills that are trained
     * @param care words of caution for the foot of every page
     * @param skill words for the key of a skill
     */
    public CampPaper(
            Preparation preparation,
            Camp camp,
            List<Card> cards,
            String title,
            String occasion,
            String care,
            Function<String, String> skill) {
        this.preparation = preparation;
        this.camp = camp;
        this.cards = List.copyOf(cards);
        this.title = title;
        this.occasion = occasion;
        this.care = care;
        this.skill = skill;
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, title, this::draw);
    }

    private void draw(PDDocument document) throws IOException {
        try (Sheets s = new Sheets(document, care)) {
            s.title(title, occasion);
            s.heading(PrintWords.of("camp.days"));
            for (CampCalendar.Day d : preparation.calendar().days()) {
                day(s, d);
            }
            for (Card c : cards) {
                card(s, c);
            }
        }
    }

    private void day(Sheets s, CampCalendar.Day d) throws IOException {
        s.need(30);
        String name = d.date().getDayOfWeek().getDisplayName(java.time.format.TextStyle.SHORT, Language.locale());
        s.text(
                name + " " + Dates.words(d.date()) + "  " + PrintWords.of(d.hard() ? "camp.hard" : "camp.light"),
                Typeface.SANS_SEMIBOLD,
                9.5,
                d.hard() ? Ink.OURS : Ink.INK);
        for (CampCalendar.Round r : d.rounds()) {
            String partner = r.partner().isEmpty() ? "" : ", " + r.partner();
            s.text(
                    PrintWords.of(
                            "camp.round",
                            r.number(),
                            skill.apply(r.skill()),
                            camp.roundMinutes(),
                            r.intensity().name().toLowerCase(Locale.ROOT),
                            partner),
                    Typeface.SANS,
                    9,
                    Ink.INK,
                    14);
        }
        s.skip(4);
    }

    private void card(Sheets s, Card c) throws IOException {
        s.need(CARD_HEIGHT);
        s.skip(8);
        s.heading(PrintWords.of("camp.card"));
        s.text(c.title(), Typeface.SERIF_SEMIBOLD, 15, Ink.INK);
        part(s, "camp.start", c.start() + " " + c.grips());
        part(s, "camp.goal", c.goal());
        part(s, "camp.partner", c.partnerGoal() + " " + c.brief());
        for (Card.Step step : c.steps()) {
            s.text(PrintWords.of("camp.step", step.what(), step.why()), Typeface.SANS, 9.5, Ink.INK, 14);
        }
        part(s, "camp.check", c.check());
        part(s, "camp.wrong", c.wrong());
        part(s, "camp.danger", c.danger());
        part(s, "camp.stop", c.stop());
        part(s, "camp.log", c.log());
    }

    private static void part(Sheets s, String key, String text) throws IOException {
        s.text(PrintWords.of(key, text), Typeface.SANS, 9.5, key.equals("camp.danger") ? Ink.ALARM : Ink.INK);
        s.skip(2);
    }
}
