package farglass.scout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Role;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GameFigureTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LibraryIndex INDEX = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
    private static final ReportWriter WRITER = new ReportWriter(Locale.ENGLISH);

    private static GameFigure figure(String who) {
        return GameFigures.of(Evidence.of(INDEX, who, Filter.ALL));
    }

    @Test
    void theGuardPlayersGameRunsFromThePullToTheSweepAndTheTriangle() {
        GameFigure f = figure("brisa-tolendt");
        assertThat(f.links())
                .extracting(l -> l.from() + " " + l.technique())
                .contains("STD neutral guard-pull", "LAS guard lasso-sweep", "LAS guard triangle");
        GameFigure.Link pull = f.links().get(0);
        assertThat(WRITER.link(pull, LEXICON)).containsExactly("guard pull", "13 of 13");
        assertThat(WRITER.way(f, pull, LEXICON)).startsWith("From: on the feet").contains("lasso guard");
        GameFigure.Link advance = f.links().stream()
                .filter(l -> l.technique().equals("to-mount"))
                .findFirst()
                .orElseThrow();
        assertThat(WRITER.way(f, advance, LEXICON)).startsWith("From: side control, on to mount: ");
        GameFigure.Link triangle = f.links().stream()
                .filter(l -> l.technique().equals("triangle"))
                .findFirst()
                .orElseThrow();
        assertThat(triangle.second()).isTrue();
        assertThat(f.box(triangle.to()).orElseThrow().kind()).isEqualTo(GameFigure.Kind.FINISH);
        assertThat(WRITER.box(f.box(triangle.to()).orElseThrow(), LEXICON)).isEqualTo("tap");
    }

    @ParameterizedTest
    @ValueSource(strings = {"brisa-tolendt", "odile-marrowen", "juno-fastrel", "ansa-kellivar"})
    void everyWayHasItsFilmAndNothingIsDrawnOverAnother(String who) {
        GameFigure f = figure(who);
        assertThat(f.rows()).isBetween(2, 5);
        assertThat(f.boxes()).extracting(b -> b.column() + "/" + b.row()).doesNotHaveDuplicates();
        assertThat(f.links()).allSatisfy(l -> {
            assertThat(l.tries()).isGreaterThanOrEqualTo(2);
            assertThat(l.worked()).isBetween(0, l.tries());
            assertThat(f.box(l.from())).isPresent();
            assertThat(f.box(l.to())).isPresent();
            assertThat(l.from()).isNotEqualTo(l.to());
        });
        GameLayout layout = new GameLayout(f, 800, 420);
        for (GameFigure.Link l : f.links()) {
            GameLayout.Curve c = layout.curve(l);
            assertThat(c.at(0)).containsExactly(c.x1(), c.y1());
            assertThat(c.at(1)[0]).isCloseTo(c.x2(), within(1e-9));
            assertThat(layout.filled(l)).isBetween(0.0, layout.line(l));
        }
    }

    @Test
    void theDrawingNamesItsPlacesAndWays() {
        GameFigure f = figure("juno-fastrel");
        String svg = GameSvg.of(f, WRITER, LEXICON, "#0C6B76");
        assertThat(svg).startsWith("<svg ").endsWith("</svg>\n").doesNotContain("NaN");
        assertThat(svg.split("<rect ", -1)).hasSize(f.boxes().size() + 1);
        assertThat(svg.split("<text ", -1).length)
                .isGreaterThan(f.boxes().size() + 2 * f.links().size());
        assertThat(svg.split("<text ", -1)).hasSameSizeAs(svg.split("</text>", -1));
        for (GameFigure.Box b : f.boxes()) {
            assertThat(svg).contains(WRITER.box(b, LEXICON));
        }
    }

    @Test
    void aPlaceAboveAGuardSaysSo() {
        GameFigure.Box box = new GameFigure.Box("k", GameFigure.Kind.PLACE, "HFG", Role.HOLDER, 0, 0);
        assertThat(WRITER.box(box, LEXICON)).isEqualTo("on top: half guard");
    }

    @Test
    void nothingTriedIsAnEmptyFigure() {
        GameFigure f = GameFigures.of(Evidence.of(LibraryIndex.empty(LEXICON), "nobody", Filter.ALL));
        assertThat(f.boxes()).isEmpty();
        assertThat(f.links()).isEqualTo(List.of());
        assertThat(f.most()).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"brisa-tolendt", "odile-marrowen", "juno-fastrel", "ansa-kellivar"})
    void wordsStandOnNoBoxAndOnNoOtherWords(String who) {
        GameFigure f = figure(who);
        for (double[] size : new double[][] {{560, 400}, {760, 420}, {1100, 560}}) {
            GameLayout layout = new GameLayout(f, size[0], size[1]);
            GameLabels labels = new GameLabels(layout, l -> new double[] {58, 22});
            List<GameLabels.Rect> rects = f.links().stream().map(labels::of).toList();
            for (int i = 0; i < rects.size(); i++) {
                GameLabels.Rect r = rects.get(i);
                for (GameFigure.Box b : f.boxes()) {
                    GameLayout.Spot s = layout.spot(b);
                    assertThat(r.overlaps(new GameLabels.Rect(s.x() - s.w() / 2, s.y() - s.h() / 2, s.w(), s.h())))
                            .as("%s on %s at %s", f.links().get(i).technique(), b.key(), size[0])
                            .isFalse();
                }
                for (int j = 0; j < i; j++) {
                    assertThat(r.overlaps(rects.get(j))).isFalse();
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"brisa-tolendt", "odile-marrowen", "juno-fastrel", "ansa-kellivar"})
    void wordsOfALargeFigureStandOnNoWay(String who) {
        GameFigure f = figure(who);
        for (int wide = 1000; wide <= 1400; wide += 40) {
            GameLayout layout = new GameLayout(f, wide, 0.65 * wide);
            GameLabels labels = new GameLabels(layout, l -> new double[] {64, 48});
            for (GameFigure.Link of : f.links()) {
                GameLabels.Rect r = labels.of(of);
                long covered = f.links().stream()
                        .flatMap(l -> IntStream.range(1, 100)
                                .mapToObj(i -> layout.curve(l).at(i / 100.0)))
                        .filter(p -> r.holds(p[0], p[1]))
                        .count();
                assertThat(covered).as("%s at %d", of.technique(), wide).isLessThanOrEqualTo(1);
            }
        }
    }

    @Test
    void pathsAreLaidSoThatWaysDoNotCross() {
        List<GameFigure.Box> boxes = List.of(box("a", 0, 0), box("b", 0, 1), box("t", 1, 2), box("u", 1, 3));
        List<GameFigure.Link> links = List.of(link("a", "u"), link("b", "t"));
        assertThat(crossings(boxes, links)).isEqualTo(1);
        List<GameFigure.Box> laid = GameRows.ordered(boxes, links, 4);
        assertThat(laid).extracting(GameFigure.Box::key).containsExactly("a", "b", "t", "u");
        assertThat(laid).extracting(GameFigure.Box::row).doesNotHaveDuplicates();
        assertThat(crossings(laid, links)).isZero();
    }

    private static GameFigure.Box box(String key, int column, int row) {
        return new GameFigure.Box(key, GameFigure.Kind.PLACE, "STD", Role.NEUTRAL, column, row);
    }

    private static GameFigure.Link link(String from, String to) {
        return new GameFigure.Link(from, to, "triangle", List.of(), false);
    }

    private static int crossings(List<GameFigure.Box> boxes, List<GameFigure.Link> links) {
        int n = 0;
        for (GameFigure.Link l : links) {
            for (GameFigure.Link m : links) {
                int above = Integer.compare(row(boxes, l.from()), row(boxes, m.from()));
                n += above * Integer.compare(row(boxes, l.to()), row(boxes, m.to())) < 0 ? 1 : 0;
            }
        }
        return n / 2;
    }

    private static int row(List<GameFigure.Box> boxes, String key) {
        return boxes.stream()
                .filter(b -> b.key().equals(key))
                .findFirst()
                .orElseThrow()
                .row();
    }
}
