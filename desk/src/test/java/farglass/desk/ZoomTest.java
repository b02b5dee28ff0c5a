package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.desk.player.Zoom;
import farglass.desk.player.ZoomProbe;
import org.junit.jupiter.api.Test;

class ZoomTest {
    private static final double VIEW = 400;
    private final Zoom zoom = new Zoom();

    /** Where a place of the picture lies on screen, when the picture is as wide as the view at first. */
    private double onScreen(double share) {
        double picture = VIEW * zoom.factor();
        return ZoomProbe.begin(zoom, VIEW, picture) + share * picture;
    }

    @Test
    void nearerKeepsTheMiddleAndStopsAtEightTimes() {
        assertThat(onScreen(0.5)).isCloseTo(200, within(1e-9));
        zoom.near(3);
        assertThat(zoom.factor()).isCloseTo(Math.pow(1.4, 3), within(1e-9));
        assertThat(onScreen(0.5)).isCloseTo(200, within(1e-9));
        zoom.near(50);
        assertThat(zoom.factor()).isEqualTo(8);
        zoom.near(-50);
        assertThat(zoom.factor()).isEqualTo(1);
        assertThat(onScreen(0)).isZero();
    }

    @Test
    void noEmptyEdgeIsEverShown() {
        zoom.near(2);
        for (int i = 0; i < 30; i++) {
            zoom.pan(1, 1);
        }
        assertThat(onScreen(1)).isCloseTo(VIEW, within(1e-9));
        for (int i = 0; i < 60; i++) {
            zoom.pan(-1, -1);
        }
        assertThat(onScreen(0)).isCloseTo(0, within(1e-9));
        zoom.whole();
        assertThat(zoom.factor()).isEqualTo(1);
        assertThat(onScreen(0.5)).isCloseTo(200, within(1e-9));
    }

    @Test
    void aSmallerPictureStandsInTheMiddle() {
        assertThat(ZoomProbe.begin(zoom, 400, 300)).isEqualTo(50);
    }
}
