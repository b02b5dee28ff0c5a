package farglass.camp;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.Side;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.tendency.Evidence;
import farglass.tendency.Reactions;
import farglass.text.CoreWords;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Writes the cards of rounds: what is usual for the kind of action, and what film shows of this opponent. */
public final class CardWriter {
    private static final int ANSWERS = 3;
    private static final int GRIPS = 2;
    private static final int TRIGGERS = 500;
    private static final long SEED = 1;

    private final ResourceBundle words;
    private final Locale locale;
    private final Lexicon lexicon;
    private final MeetingWriter writer;
    private final StateSpace groups;
    private final Evidence them;
    private final List<Reactions.Row> answers;

    /**
     * @param writer with the names of the two
     * @param them what film shows of the opponent
     */
    public CardWriter(Locale locale, MeetingWriter writer, Evidence them) {
        this.words = ResourceBundle.getBundle("farglass.camp.Cards", locale);
        this.locale = locale;
        this.lexicon = them.lexicon();
        this.writer = writer;
        this.groups = new StateSpace(lexicon);
        this.them = them;
        this.answers = Reactions.of(them, true, TRIGGERS, SEED);
    }

    private String say(String key, @Nullable Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }

    /** The usual words of caution; they stand on every page that prescribes training. */
    public static String care(Locale locale) {
        return new MessageFormat(
                        ResourceBundle.getBundle("farglass.camp.Cards", locale).getString("care"), locale)
                .format(new Object[0]);
    }

    /** What a skill is called at the head of its card. */
    public String title(Skill s) {
        return say(s.ours() ? "title.ours" : "title.theirs", writer.technique(s.technique()));
    }

    /** The card of a round of a skill. */
    public Card card(Skill s) {
        String family = lexicon.familyOf(s.technique());
        String kind = words.containsKey(family + ".goal") ? family : "escape";
        ModelState place = s.places().isEmpty() ? ModelState.START : s.places().get(0);
        String stem = s.ours() ? kind : kind + ".stop";
        return new Card(
                s,
                title(s),
                (s.serves().isEmpty() ? "" : say(s.ours() ? "serves" : "serves.weapon", s.serves()) + " ")
                        + say("start", writer.place(place), writer.name(true), writer.name(false)),
                grips(place),
                say(stem + ".goal"),
                s.ours() ? say(kind + ".partner") : say(kind + ".goal"),
                s.ours() ? answers(s) : attack(s),
                steps(words.getString(stem + ".steps")),
                say(stem + ".check"),
                say(stem + ".wrong"),
                danger(s.technique(), family, kind),
                say("stop"),
                say("log", say(s.ours() ? "log.ours" : "log.theirs")));
    }

    private static List<Card.Step> steps(String text) {
        List<Card.Step> steps = new ArrayList<>();
        for (String step : text.split("//")) {
            String[] parts = step.split("\\|");
            steps.add(new Card.Step(parts[0].strip(), parts[1].strip()));
        }
        return steps;
    }

    private String danger(String technique, String family, String kind) {
        String own = "danger." + technique;
        if (words.containsKey(own)) {
            return say(own);
        }
        if (!family.equals("submission")) {
            return say(kind + ".danger");
        }
        String limb = "danger.limb."
                + lexicon.technique(technique).map(Technique::limb).orElse("");
        return say(words.containsKey(limb) ? limb : "danger.other");
    }

    /** "Brisa answers the knee cut with hip escape in 6 of 10, frame in 2 of 10. Do the same, in that share." */
    private String answers(Skill s) {
        String technique = writer.technique(s.technique());
        Reactions.Row row = answers.stream()
                .filter(r -> r.trigger().equals(s.technique()))
                .findFirst()
                .orElse(null);
        if (row == null) {
            long met = them.acts(a -> !a.own() && a.action().technique().equals(s.technique()))
                    .size();
            return say("brief.unmet", writer.name(false), met, technique);
        }
        String list = row.answers().stream()
                .limit(ANSWERS)
                .map(a -> say(
                        "brief.answer", answer(a.answer()), Math.round(a.share().x()), row.count()))
                .collect(Collectors.joining(", "));
        return say("brief.answers", writer.name(false), technique, list);
    }

    private String answer(String code) {
        return code.startsWith("=")
                ? CoreWords.code(code.substring(1))
                : code.equals("none") ? say("brief.nothing") : writer.technique(code);
    }

    private String attack(Skill s) {
        List<Evidence.Act> tries = them.ownAttempts(a -> a.technique().equals(s.technique()));
        String technique = writer.technique(s.technique());
        if (tries.isEmpty()) {
            return say("brief.attack.none", writer.name(false), technique);
        }
        long worked = tries.stream().filter(a -> a.action().completed()).count();
        List<Side> sides = tries.stream()
                .map(a -> a.action().firstSide())
                .filter(Evidence::sided)
                .toList();
        long right = sides.stream().filter(x -> x == Side.RIGHT).count();
        boolean mostlyRight = 2 * right >= sides.size();
        String side = sides.isEmpty()
                ? ""
                : say(
                        "brief.side",
                        CoreWords.code((mostlyRight ? Side.RIGHT : Side.LEFT).code()),
                        mostlyRight ? right : sides.size() - right,
                        sides.size());
        return say("brief.attack", writer.name(false), technique, tries.size(), worked, side);
    }

    /** The grips that the opponent has most often in a place. */
    private String grips(ModelState place) {
        Map<String, Integer> counts = new TreeMap<>();
        for (Evidence.Seen seen : them.matches()) {
            Corner c = seen.corner();
            for (Tag tag : seen.record().tags()) {
                if (tag instanceof Tag.Grip g && g.by() == c) {
                    Span at = seen.line().at(g.t()).orElse(null);
                    ModelState here = at == null ? null : groups.place(at, c.other());
                    if (place.paid(false).equals(here)) {
                        counts.merge(g.grip(), 1, Integer::sum);
                    }
                }
            }
        }
        if (counts.isEmpty()) {
            return say("grips.none", writer.name(false));
        }
        String list = counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(GRIPS)
                .map(e -> lexicon.grip(e.getKey()).map(x -> x.name()).orElse(e.getKey()) + " (" + e.getValue() + ")")
                .collect(Collectors.joining(", "));
        return say("grips", writer.name(false), list);
    }
}
