package farglass.store.json;

import farglass.matchup.gameplan.GamePage;
import java.util.List;
import java.util.Map;

/** The page of a game plan, as {@code page} of {@code farglass.plan/1}. */
public final class GamePageJson {
    private GamePageJson() {}

    /** Its parts with their lines, notes and tags. */
    public static List<Map<String, Object>> rows(GamePage page) {
        return page.parts().stream()
                .map(p -> Row.of(
                        "part",
                        p.heading().name(),
                        "title",
                        p.title(),
                        "lines",
                        p.lines().stream().map(GamePageJson::line).toList()))
                .toList();
    }

    private static Map<String, Object> line(GamePage.Line l) {
        return Row.of(
                "text",
                l.text(),
                "likely",
                l.likely(),
                "notes",
                l.notes(),
                "tags",
                DecisionsJson.tags(l.tags().stream()));
    }
}
