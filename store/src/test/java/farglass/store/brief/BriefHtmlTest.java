package farglass.store.brief;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.brief.Slide;
import farglass.lexicon.Lexicon;
import farglass.match.Role;
import farglass.plan.Plan;
import farglass.scout.GameFigure;
import farglass.store.json.PlanJson;
import java.io.StringReader;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

class BriefHtmlTest {
    private static final List<Slide> SLIDES = List.of(
            new Slide(
                    "title",
                    Slide.Kind.TITLE,
                    "",
                    "Brisa <script>alert(1)</script>",
                    List.of("Event"),
                    "",
                    List.of(),
                    false),
            new Slide(
                    "claim:a/b",
                    Slide.Kind.CLAIM,
                    "WHAT WE KNOW",
                    "She \"sits\" & waits",
                    List.of("3 of 4"),
                    "say it's so",
                    List.of(),
                    false),
            new Slide(
                    "game",
                    Slide.Kind.REPORT,
                    "THE GAME",
                    "How it runs",
                    List.of(),
                    "",
                    List.of(),
                    false,
                    new GameFigure(
                            List.of(
                                    new GameFigure.Box("s", GameFigure.Kind.PLACE, "STD", Role.NEUTRAL, 0, 0),
                                    new GameFigure.Box("f", GameFigure.Kind.FINISH, "", Role.HOLDER, 1, 0)),
                            List.of(new GameFigure.Link("s", "f", "guillotine", List.of(), false)),
                            2,
                            1)));

    private static String page() {
        return BriefHtml.write(
                SLIDES, Map.of("claim:a/b", List.of("b-clips/01.mp4")), "Brief & co", "Tap early.", Lexicon.builtIn());
    }

    @Test
    void whatIsTextStaysText() {
        assertThat(page())
                .doesNotContain("<script>alert")
                .contains(
                        "Brisa &lt;script&gt;alert(1)&lt;/script&gt;",
                        "She &quot;sits&quot; &amp; waits",
                        "say it&#39;s so");
    }

    @Test
    void nothingIsFetchedFromOutside() {
        assertThat(page()).doesNotContain("http:", "https:", "//cdn", "@import", "url(");
        assertThat(page()).contains("<svg ", ">on the feet</text>", ">guillotine</text>");
        assertThat(page()).contains("src=\"b-clips/01.mp4\"", "<footer>Tap early.</footer>");
    }

    @Test
    void theBodyIsWellFormed() throws Exception {
        String text = page();
        String main = text.substring(text.indexOf("<main>"), text.indexOf("</main>") + 7)
                .replace("<video controls ", "<video ");
        Document d = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(main)));
        assertThat(d.getElementsByTagName("section").getLength()).isEqualTo(3);
        assertThat(d.getElementsByTagName("h1").item(0).getTextContent()).isEqualTo("Brisa <script>alert(1)</script>");
    }

    @Test
    void whatWasChangedAboutABriefingComesBack() throws Exception {
        Plan p = Plan.empty("p", "Plan", "us", "them");
        Plan bent = p.brief(p.brief()
                .hide("notes", true)
                .note("title", "slowly")
                .nameless(true)
                .move(List.of("a", "b"), "b", -1));
        assertThat(PlanJson.read(PlanJson.write(bent))).isEqualTo(bent);
    }
}
