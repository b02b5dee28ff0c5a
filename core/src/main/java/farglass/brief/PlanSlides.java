package farglass.brief;

import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePage.Heading;
import farglass.matchup.gameplan.GamePage.Line;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a briefing tells of the game plan: every decision on a slide of its own, from the page the corner has. */
final class PlanSlides {
    private static final String BETWEEN_CALLS = " \u00b7 ";

    private final GamePage page;

    /**
     * A slide before it has its heading.
     *
     * @param heading key of it
     */
    record Told(String id, String heading, String text, List<String> points, List<TagRef> tags) {}

    PlanSlides(GamePage page) {
        this.page = page;
    }

    /** In the order of the page; what it does not say is left out. */
    List<Told> all() {
        List<Told> all = new ArrayList<>();
        List<Line> idea = lines(Heading.IDEA);
        List<Line> start = lines(Heading.START);
        if (!idea.isEmpty()) {
            all.add(new Told("plan", "plan", idea.get(0).text(), List.of(), List.of()));
        }
        start.forEach(l -> all.add(new Told("start", "start", l.text(), l.notes(), l.tags())));
        decisions().forEach(l -> all.add(new Told(id(l), "decision", l.text(), l.notes(), l.tags())));
        together(all, "weapons", Heading.WEAPONS);
        together(all, "refuse", Heading.REFUSE);
        List<Line> calls = lines(Heading.CALLS);
        if (!calls.isEmpty()) {
            all.add(new Told(
                    "calls",
                    "calls",
                    calls.stream().map(Line::text).collect(Collectors.joining(BETWEEN_CALLS)),
                    calls.stream()
                            .filter(l -> !l.notes().isEmpty())
                            .map(l -> l.text() + ": " + l.notes().get(0))
                            .toList(),
                    List.of()));
        }
        return all;
    }

    /** The same from day to day while the decision is the same. */
    static String id(Line decision) {
        return "decision:" + decision.text();
    }

    /** At any score and time, then the others; what is said of all of them together is none. */
    List<Line> decisions() {
        return Stream.concat(lines(Heading.DECISIONS).stream(), lines(Heading.SCORE).stream())
                .filter(l -> !l.notes().isEmpty())
                .toList();
    }

    /** The lines of a part on one slide, the first of them large. */
    private void together(List<Told> all, String id, Heading heading) {
        List<Line> lines =
                lines(heading).stream().filter(l -> !l.notes().isEmpty()).toList();
        if (lines.isEmpty()) {
            return;
        }
        Map<TagRef, Boolean> tags = new LinkedHashMap<>();
        lines.forEach(l -> l.tags().forEach(t -> tags.put(t, true)));
        List<String> points = new ArrayList<>(lines.get(0).notes());
        lines.stream().skip(1).forEach(l -> points.add(l.text() + ". " + String.join(" ", l.notes())));
        all.add(new Told(id, id, lines.get(0).text(), points, List.copyOf(tags.keySet())));
    }

    private List<Line> lines(Heading heading) {
        return page.part(heading).map(GamePage.Part::lines).orElse(List.of());
    }
}
