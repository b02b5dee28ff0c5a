package farglass.film.score;

import farglass.film.GrayPicture;
import farglass.film.score.ScoreReader.View;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongPredicate;

/**
 * When a number changed that could not be read for a while: where the pictures before differ most
 * from those after, each side the mean of some, so that what moves behind the number counts little.
 */
final class ChangeMoment {
    /** Pictures of each side. */
    private static final int SIDE = 4;
    /** A shorter time needs no sharpening. */
    private static final long AT_ONCE_MS = 2 * ScoreCrops.STEP_MS;

    private final List<View> views;
    private final int column;
    private final int athlete;

    ChangeMoment(List<View> views, int column, int athlete) {
        this.views = views;
        this.column = column;
        this.athlete = athlete;
    }

    /** The change at its moment; as it is where it was read at once. */
    NumberTrack.Change sharpened(NumberTrack.Change c) {
        if (c.fromMs() == 0 || c.ms() - c.fromMs() <= AT_ONCE_MS) {
            return c;
        }
        for (View v : views) {
            List<Integer> steps = between(v.crops(), v.shown(), c);
            if (steps.size() > 2) {
                return at(v.crops(), steps, c);
            }
        }
        return c;
    }

    /** Steps from the last picture of the old number to the first of the new one in which it is shown. */
    private static List<Integer> between(ScoreCrops crops, LongPredicate shown, NumberTrack.Change c) {
        List<Integer> steps = new ArrayList<>();
        for (int i = 0; i < crops.size(); i++) {
            long ms = crops.ms(i);
            if (ms >= c.fromMs() && ms <= c.ms() && shown.test(ms)) {
                steps.add(i);
            }
        }
        return steps;
    }

    private NumberTrack.Change at(ScoreCrops crops, List<Integer> steps, NumberTrack.Change c) {
        int best = steps.size() - 1;
        double most = -1;
        for (int i = 1; i < steps.size(); i++) {
            GrayPicture before = mean(crops, steps.subList(Math.max(0, i - SIDE), i));
            GrayPicture after = mean(crops, steps.subList(i, Math.min(steps.size(), i + SIDE)));
            double differs = before.difference(after);
            if (differs > most) {
                most = differs;
                best = i;
            }
        }
        return new NumberTrack.Change(
                crops.ms(steps.get(best - 1)), crops.ms(steps.get(best)), c.before(), c.after(), c.confidence());
    }

    private GrayPicture mean(ScoreCrops crops, List<Integer> steps) {
        return GrayPicture.mean(
                steps.stream().map(i -> crops.middle(column, athlete, i)).toList());
    }
}
