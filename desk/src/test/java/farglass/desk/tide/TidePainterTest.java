package farglass.desk.tide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.desk.shell.Look;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.util.List;
import java.util.concurrent.Callable;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

class TidePainterTest {
    private static final double W = 600;
    private static final double H = 120;

    @BeforeAll
    static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
        onFx(() -> {
            Look.load();
            return null;
        });
    }

    private static <T> T onFx(Callable<T> work) throws Exception {
        return WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    }

    private static MatchTime s(long seconds) {
        return MatchTime.ofMs(seconds * 1000);
    }

    private static MatchRecord record() {
        MatchRecord.Details d = new MatchRecord.Details(
                null,
                null,
                null,
                null,
                "gi",
                "points-gi",
                300_000,
                MatchAthlete.of("a", "A One", null, null),
                MatchAthlete.of("b", "B Two", null, null),
                null);
        return MatchRecord.of(
                "m",
                d,
                List.of(),
                List.of(
                        new Tag.Start(MatchTime.ZERO, TagInfo.NONE),
                        Tag.Position.of(MatchTime.ZERO, "STD", null, null),
                        Tag.Action.of(s(50), Corner.A, "double-leg").result(Outcome.STUFFED, 1, null, null),
                        Tag.Position.of(s(100), "MNT", Corner.A, null),
                        Tag.Action.of(s(150), Corner.B, "bridge-reversal"),
                        Tag.Action.of(s(200), Corner.A, "armbar").result(Outcome.NEAR, 3, null, null),
                        new Tag.End(s(300), TagInfo.NONE)));
    }

    private static TidePainter painter(Canvas canvas, Corner top) {
        return new TidePainter(canvas.getGraphicsContext2D(), record(), Lexicon.builtIn(), top, 0, 0, W, H);
    }

    @Test
    void timeAndPlaceLeadIntoEachOther() throws Exception {
        TidePainter p = onFx(() -> painter(new Canvas(W, H), Corner.A));
        assertThat(p.at(s(150))).isCloseTo(W / 2, within(1e-9));
        for (long ms = 0; ms <= 300_000; ms += 7_013) {
            assertThat(p.timeAt(p.at(MatchTime.ofMs(ms))).ms()).isCloseTo(ms, within(1L));
        }
        assertThat(p.timeAt(-50)).isEqualTo(MatchTime.ZERO);
        assertThat(p.timeAt(W + 50)).isEqualTo(s(300));
    }

    @Test
    void attemptsStandOnTheirAthletesSideAtTheirTime() throws Exception {
        List<TidePainter.Mark> marks =
                onFx(() -> painter(new Canvas(W, H), Corner.A).marks(-1));
        assertThat(marks).extracting(TidePainter.Mark::tag).contains(2, 5);
        for (TidePainter.Mark m : marks) {
            Tag.Action a = (Tag.Action) record().tags().get(m.tag());
            assertThat(m.x()).isCloseTo(W * a.t().ms() / 300_000, within(1e-9));
            assertThat(m.y()).isBetween(0.0, H);
        }
        TidePainter.Mark takedown =
                marks.stream().filter(m -> m.tag() == 2).findFirst().orElseThrow();
        assertThat(takedown.y()).as("above the neutral line").isLessThan(H / 2);
        List<TidePainter.Mark> turned =
                onFx(() -> painter(new Canvas(W, H), Corner.B).marks(-1));
        assertThat(turned.stream()
                        .filter(m -> m.tag() == 2)
                        .findFirst()
                        .orElseThrow()
                        .y())
                .as("drawn from the other's side it is below")
                .isGreaterThan(H / 2);
    }

    @Test
    void theStepGoesUpForWhoeverIsDrawnUpwards() throws Exception {
        for (Corner top : Corner.values()) {
            WritableImage image = onFx(() -> {
                Canvas canvas = new Canvas(W, H);
                painter(canvas, top).steps(3, Color.BLACK);
                return canvas.snapshot(null, null);
            });
            int row = dark(image, (int) (W * 250 / 300));
            if (top == Corner.A) {
                assertThat(row).isBetween(1, (int) H / 3);
            } else {
                assertThat(row).isBetween((int) (H * 2 / 3), (int) H);
            }
            assertThat(dark(image, (int) (W * 50 / 300))).isCloseTo((int) H / 2, within(3));
        }
    }

    /** First dark row of a column. */
    private static int dark(WritableImage image, int x) {
        for (int y = 0; y < image.getHeight(); y++) {
            if (image.getPixelReader().getColor(x, y).getBrightness() < 0.4) {
                return y;
            }
        }
        throw new AssertionError("no line at " + x);
    }
}
