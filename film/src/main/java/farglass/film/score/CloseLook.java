package farglass.film.score;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.GrayPicture;
import farglass.film.text.TextReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Looks once more at a score graphic that was found, where its parts stand: at the room that its digits take, and at
 * its names with an initial beside them, which is easily overlooked in a whole picture.
 */
public final class CloseLook {
    /** Pictures looked at. */
    private static final int PICTURES = 11;
    /** An initial and its point take so much room beside a name, in its heights. */
    private static final double INITIAL = 2;
    /** Numbers begin so far from their middle, in heights of the line. */
    private static final double NUMBER = 0.5;

    private final FilmFile film;
    private final List<Integer> frames;

    private CloseLook(FilmFile film, List<Integer> frames) {
        this.film = film;
        this.frames = frames;
    }

    /**
     * The graphic as it is seen from near.
     *
     * @param clock where the match clock stands, which is shown with it; null when there is none
     * @throws FilmException when the film is damaged
     */
    public static ScoreGraphic at(
            FilmFile film, ScoreGraphic graphic, SampledWords words, @Nullable Box clock, TextReader reader)
            throws FilmException {
        List<Integer> shown = words.pictures().stream()
                .filter(p -> clock == null || p.words().stream().anyMatch(w -> Layout.overlap(w.box(), clock)))
                .map(SampledWords.Picture::frame)
                .toList();
        int every = Math.max(1, (shown.size() + PICTURES - 1) / PICTURES);
        List<Integer> frames = new ArrayList<>();
        for (int i = 0; i < shown.size(); i += every) {
            frames.add(shown.get(i));
        }
        CloseLook look = new CloseLook(film, frames);
        List<Box> numbers = numbers(graphic);
        List<Box> areas = new ArrayList<>();
        numbers.forEach(b ->
                areas.add(NumberPlace.around(b, film.info().width(), film.info().height())));
        graphic.names().forEach(n -> areas.add(look.room(n.box(), numbers)));
        List<List<GrayPicture>> pictures = look.pictures(areas);
        List<ScoreGraphic.Column> columns = new ArrayList<>();
        for (int c = 0; c < graphic.columns().size(); c++) {
            int n = 2 * c;
            columns.add(new ScoreGraphic.Column(
                    NumberPlace.set(numbers.get(n), areas.get(n), pictures.get(n)),
                    NumberPlace.set(numbers.get(n + 1), areas.get(n + 1), pictures.get(n + 1)),
                    graphic.columns().get(c).heading()));
        }
        List<ScoreGraphic.Name> names = new ArrayList<>();
        for (int i = 0; i < graphic.names().size(); i++) {
            ScoreGraphic.Name n = graphic.names().get(i);
            List<String> read = new ArrayList<>();
            for (GrayPicture p : pictures.get(numbers.size() + i)) {
                read.add(reader.read(p, TextReader.Kind.ANY).text());
            }
            names.add(new ScoreGraphic.Name(withInitial(n.text(), read), n.box(), n.confidence()));
        }
        return new ScoreGraphic(names, columns);
    }

    private static List<Box> numbers(ScoreGraphic graphic) {
        List<Box> numbers = new ArrayList<>();
        graphic.columns().forEach(c -> Collections.addAll(numbers, c.first(), c.second()));
        return numbers;
    }

    /** All areas of a picture while it is decoded. */
    private List<List<GrayPicture>> pictures(List<Box> areas) throws FilmException {
        List<List<GrayPicture>> pictures = new ArrayList<>();
        areas.forEach(a -> pictures.add(new ArrayList<>()));
        for (int frame : frames) {
            for (int i = 0; i < areas.size(); i++) {
                pictures.get(i).add(film.gray(frame, areas.get(i)));
            }
        }
        return pictures;
    }

    /** A name with the room beside it that no number takes. */
    private Box room(Box name, List<Box> numbers) {
        double h = name.height();
        double left = name.x() - INITIAL * h;
        double right = name.x() + name.width() + INITIAL * h;
        for (Box n : numbers) {
            boolean row = n.y() < name.y() + name.height() && name.y() < n.y() + n.height();
            double middle = n.x() + n.width() / 2.0;
            if (row && middle > name.x() + name.width() / 2.0) {
                right = Math.min(right, Math.max(name.x() + name.width(), middle - NUMBER * n.height()));
            } else if (row) {
                left = Math.max(left, Math.min(name.x(), middle + NUMBER * n.height()));
            }
        }
        int from = (int) Math.max(0, Math.round(left));
        return new Box(from, name.y(), (int) Math.max(1, Math.round(right) - from), name.height())
                .within(film.info().width(), film.info().height());
    }

    /** A name with the initial that stands beside it in most readings of it; as it is when it has one already. */
    static String withInitial(String name, List<String> readings) {
        String bare = bare(name);
        if (bare.length() < 2 || name.matches(".*\\b\\p{Lu}\\.?$|^\\p{Lu}\\b.*")) {
            return name;
        }
        List<String> after = new ArrayList<>();
        List<String> before = new ArrayList<>();
        int shown = 0;
        for (String r : readings) {
            String text = bare(Region.spelled(r.strip()));
            shown += text.contains(bare) ? 1 : 0;
            if (text.length() == bare.length() + 1 && text.startsWith(bare)) {
                after.add(text.substring(bare.length()));
            } else if (text.length() == bare.length() + 1 && text.endsWith(bare)) {
                before.add(text.substring(0, 1));
            }
        }
        String last = most(after, shown);
        String first = most(before, shown);
        if (!last.isEmpty()) {
            return name + " " + last + ".";
        }
        return first.isEmpty() ? name : first + ". " + name;
    }

    /** The letter that stands in more than half of the readings; empty for none. */
    private static String most(List<String> letters, int of) {
        return letters.stream()
                .filter(l -> l.matches("\\p{Lu}") && 2 * Collections.frequency(letters, l) > of)
                .findFirst()
                .orElse("");
    }

    private static String bare(String text) {
        return text.replaceAll("[\\s.]", "");
    }
}
