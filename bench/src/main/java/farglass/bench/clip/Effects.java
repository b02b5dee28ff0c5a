package farglass.bench.clip;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Polygon;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * What is done to the picture besides the score graphic.
 *
 * @param fade whether the graphic fades out before a replay and in after it
 * @param dissolveMs how long one shot goes over into the next; 0 for cuts
 * @param flashes film moments at which all is bright for a tenth of a second
 * @param inset whether another picture stands in a corner
 * @param bar whether a player's own bar with its own time stands below
 * @param interlaced whether every second line is of a later moment
 * @param moves whether the graphic stands in another corner from the middle of the film on
 */
record Effects(
        boolean fade,
        boolean wipe,
        int dissolveMs,
        List<Long> flashes,
        boolean letterbox,
        boolean inset,
        boolean bar,
        boolean interlaced,
        boolean moves) {
    private static final int FADE_MS = 400;
    private static final int WIPE_MS = 500;
    private static final int FLASH_MS = 100;
    private static final int[] DISSOLVES = {0, 0, 0, 400, 900, 1500};

    static Effects draw(Random random) {
        List<Long> flashes = new ArrayList<>();
        for (int i = random.nextInt(3) == 0 ? 3 : 0; i > 0; i--) {
            flashes.add(3000L + random.nextInt(40_000));
        }
        return new Effects(
                random.nextInt(3) == 0,
                random.nextInt(4) == 0,
                DISSOLVES[random.nextInt(DISSOLVES.length)],
                flashes,
                random.nextInt(7) == 0,
                random.nextInt(6) == 0,
                random.nextInt(6) == 0,
                random.nextInt(8) == 0,
                random.nextInt(12) == 0);
    }

    /**
     * Opacity of the graphic.
     *
     * @param sinceMs since it was hidden
     * @param untilMs until it is
     */
    float seen(long sinceMs, long untilMs) {
        return fade ? Math.min(1, Math.max(0.05f, Math.min(sinceMs, untilMs) / (float) FADE_MS)) : 1;
    }

    /** Draws everything that lies over the camera's picture and under the graphic. */
    void over(Graphics2D g, long ms, long sinceCutMs, int width, int height, BufferedImage other) {
        if (inset) {
            g.drawImage(other, width - width / 5 - 8, height / 2, width / 5, height / 5, null);
        }
        if (wipe && sinceCutMs < WIPE_MS) {
            int x = (int) (1.4 * width * sinceCutMs / WIPE_MS);
            g.setColor(new Color(200, 170, 30));
            g.fill(new Polygon(
                    new int[] {x - width * 2 / 5, x, x - width / 10, x - width / 2},
                    new int[] {0, 0, height, height},
                    4));
        }
        if (flashes.stream().anyMatch(f -> ms >= f && ms < f + FLASH_MS)) {
            g.setColor(new Color(255, 255, 255, 205));
            g.fillRect(0, 0, width, height);
        }
        if (letterbox) {
            g.setColor(Color.BLACK);
            g.fillRect(0, 0, width, height / 22);
            g.fillRect(0, height - height / 22, width, height / 22);
        }
        if (bar) {
            g.setColor(new Color(0, 0, 0, 150));
            g.fillRect(0, height - height / 24, width, height / 24);
            g.setColor(new Color(200, 40, 40));
            g.fillRect(0, height - height / 24, (int) (width * (ms % 60_000) / 60_000), 3);
            int size = height / 36;
            g.setColor(Color.WHITE);
            new SevenSegments(g, size * 0.7, 0.14)
                    .draw(Graphic.clock(ms / 1000), width / 40.0, height - height / 24.0 + size * 0.3);
        }
    }

    String words() {
        List<String> words = new ArrayList<>();
        if (fade) {
            words.add("fade");
        }
        if (wipe) {
            words.add("wipe");
        }
        if (dissolveMs > 0) {
            words.add("dissolve " + dissolveMs);
        }
        if (!flashes.isEmpty()) {
            words.add("flashes");
        }
        if (letterbox) {
            words.add("letterbox");
        }
        if (inset) {
            words.add("inset");
        }
        if (bar) {
            words.add("bar");
        }
        if (interlaced) {
            words.add("interlaced");
        }
        if (moves) {
            words.add("moves");
        }
        return String.join(" ", words);
    }
}
