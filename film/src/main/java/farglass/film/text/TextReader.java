package farglass.film.text;

import farglass.film.FilmException;
import farglass.film.FilmWords;
import farglass.film.GrayPicture;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads a line of text from a picture of it. The network gives, for steps from left to right, chances of every
 * character and of none; the likeliest are taken and repetitions fall together (greedy decoding of connectionist
 * temporal classification; Graves et al., ICML 2006). Several threads may read at once.
 */
public final class TextReader implements AutoCloseable {
    /** Height that the network was trained on, pixels. */
    private static final int HEIGHT = 48;

    private static final int LEAST_WIDTH = 48;
    private static final int MOST_WIDTH = 640;
    /** Widths are made up to a multiple, because the network takes steps of so many pixels. */
    private static final int STEP = 16;

    private final TextModel model;
    /** By class of the network; the first is no character. */
    private final List<String> characters;

    private final boolean[] clock;
    private final boolean[] digits;

    /** What can stand in a picture. */
    public enum Kind {
        /** Any character. */
        ANY,
        /** Digits, colon and point only: everything else is taken for the likeliest of them. */
        CLOCK,
        /** Digits only; the confidence says how sure it is which, not whether any stand there. */
        DIGITS
    }

    private TextReader(TextModel model, List<String> characters) {
        this.model = model;
        this.characters = characters;
        this.clock = among("0123456789:.");
        this.digits = among("0123456789");
    }

    private boolean[] among(String allowed) {
        boolean[] among = new boolean[characters.size()];
        for (int i = 0; i < among.length; i++) {
            among[i] = i == 0 || allowed.contains(characters.get(i));
        }
        return among;
    }

    /**
     * Loads the network; takes part of a second.
     *
     * @throws FilmException when its file is missing or damaged
     */
    public static TextReader open() throws FilmException {
        List<String> characters = new ArrayList<>(List.of(""));
        try (InputStream in = TextReader.class.getResourceAsStream("characters.txt")) {
            if (in == null) {
                throw new IOException("missing");
            }
            characters.addAll(new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList());
        } catch (IOException e) {
            throw new FilmException(FilmWords.of("characters"));
        }
        characters.add(" ");
        return new TextReader(TextModel.open(TextModel.READ), characters);
    }

    /** What a picture of one line says; empty when it says nothing. */
    public TextLine read(GrayPicture line, Kind kind) throws FilmException {
        int drawn = Math.max(1, Math.min(MOST_WIDTH, Math.round(line.width() * HEIGHT / (float) line.height())));
        int width = Math.max(LEAST_WIDTH, (drawn + STEP - 1) / STEP * STEP);
        TextModel.Output out = model.run(planes(line, drawn, width), width, HEIGHT);
        int steps = (int) out.shape()[1];
        int classes = (int) out.shape()[2];
        StringBuilder text = new StringBuilder();
        List<Double> at = new ArrayList<>();
        double sum = 0;
        int before = 0;
        for (int t = 0; t < steps; t++) {
            int best = best(out.values(), t * classes, classes, kind);
            if (best != 0 && best != before) {
                text.append(characters.get(best));
                at.add(Math.min(1, (t + 0.5) / steps * width / drawn));
                sum += chance(out.values(), t * classes, best, kind);
            }
            before = best;
        }
        return new TextLine(text.toString(), at.isEmpty() ? 0 : sum / at.size(), at);
    }

    private int best(float[] values, int from, int classes, Kind kind) {
        int best = 0;
        for (int c = 1; c < classes; c++) {
            if (values[from + c] > values[from + best] && (kind == Kind.ANY || allowed(kind)[c])) {
                best = c;
            }
        }
        return best;
    }

    private boolean[] allowed(Kind kind) {
        return kind == Kind.CLOCK ? clock : digits;
    }

    /** Chance of a character; of a digit, among the digits. */
    private double chance(float[] values, int from, int character, Kind kind) {
        if (kind != Kind.DIGITS) {
            return values[from + character];
        }
        double sum = 0;
        for (int c = 1; c < digits.length; c++) {
            sum += digits[c] ? values[from + c] : 0;
        }
        return values[from + character] / sum;
    }

    /** Brightness from -1 to 1, brought to the height by interpolation between pixels; 0 beyond the drawn width. */
    private static float[] planes(GrayPicture p, int drawn, int width) {
        float[] planes = new float[3 * HEIGHT * width];
        for (int y = 0; y < HEIGHT; y++) {
            float sy = Math.max(0, (y + 0.5f) * p.height() / HEIGHT - 0.5f);
            for (int x = 0; x < drawn; x++) {
                float sx = Math.max(0, (x + 0.5f) * p.width() / drawn - 0.5f);
                planes[y * width + x] = (between(p, sx, sy) / 255 - 0.5f) / 0.5f;
            }
        }
        int plane = HEIGHT * width;
        System.arraycopy(planes, 0, planes, plane, plane);
        System.arraycopy(planes, 0, planes, 2 * plane, plane);
        return planes;
    }

    private static float between(GrayPicture p, float x, float y) {
        int left = Math.min((int) x, p.width() - 1);
        int top = Math.min((int) y, p.height() - 1);
        int right = Math.min(left + 1, p.width() - 1);
        int bottom = Math.min(top + 1, p.height() - 1);
        float fx = x - left;
        float fy = y - top;
        float upper = p.at(left, top) * (1 - fx) + p.at(right, top) * fx;
        float lower = p.at(left, bottom) * (1 - fx) + p.at(right, bottom) * fx;
        return upper * (1 - fy) + lower * fy;
    }

    @Override
    public void close() {
        model.close();
    }
}
