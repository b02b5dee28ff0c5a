package farglass.film.score;

import farglass.film.Box;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A score graphic that moves within a film keeps its form: what was found in one of its places and missed in another
 * stands there moved, and enlarged, as the names are.
 */
public final class MovedGraphic {
    /** Middles of boxes that are the same lie this near each other, in heights of the name. */
    private static final double NEAR = 0.7;
    /** Graphics enlarged by more than this are two. */
    private static final double LARGEST = 2.2;

    private MovedGraphic() {}

    /**
     * The same graphics, each with the columns of all that are like it, in one order. Places whose names are others',
     * or stand to each other in another way, stay as they are.
     *
     * @param width of the picture, pixels
     * @param height of the picture, pixels
     */
    public static List<ScoreGraphic> completed(List<ScoreGraphic> places, int width, int height) {
        List<ScoreGraphic> done = new ArrayList<>(places);
        for (int i = 0; i < done.size(); i++) {
            for (int j = 0; j < done.size(); j++) {
                Move move = i == j ? null : Move.between(done.get(i), done.get(j));
                if (move != null) {
                    done.set(j, with(done.get(j), done.get(i), move, width, height));
                }
            }
        }
        return List.copyOf(done);
    }

    private static ScoreGraphic with(ScoreGraphic here, ScoreGraphic there, Move move, int width, int height) {
        double near = NEAR * here.names().get(0).box().height();
        List<ScoreGraphic.Column> columns = new ArrayList<>();
        List<ScoreGraphic.Column> own = new ArrayList<>(here.columns());
        for (ScoreGraphic.Column c : there.columns()) {
            Box first = move.of(c.first());
            ScoreGraphic.Column known = own.stream()
                    .filter(o -> near(o.first(), first, near))
                    .findFirst()
                    .orElse(null);
            own.remove(known);
            columns.add(
                    known != null
                            ? known
                            : new ScoreGraphic.Column(
                                    first.within(width, height),
                                    move.of(c.second()).within(width, height),
                                    c.heading()));
        }
        columns.addAll(own);
        return new ScoreGraphic(here.names(), columns);
    }

    private static boolean near(Box a, Box b, double near) {
        return Math.abs(x(a) - x(b)) < near && Math.abs(y(a) - y(b)) < near;
    }

    private static double x(Box b) {
        return b.x() + b.width() / 2.0;
    }

    private static double y(Box b) {
        return b.y() + b.height() / 2.0;
    }

    /** From one place to another: enlarged round the first name. */
    private record Move(double fromX, double fromY, double toX, double toY, double scale) {
        /** Null when the one is not the other moved. */
        static @Nullable Move between(ScoreGraphic from, ScoreGraphic to) {
            if (from.names().size() < 2 || to.names().size() < 2 || !from.named(to)) {
                return null;
            }
            Box a = from.names().get(0).box();
            Box b = to.names().get(0).box();
            double scale = (double) b.height() / a.height();
            if (scale > LARGEST || scale < 1 / LARGEST) {
                return null;
            }
            Move move = new Move(a.x(), y(a), b.x(), y(b), scale);
            Box second = move.of(from.names().get(1).box());
            Box meant = to.names().get(1).box();
            double near = NEAR * meant.height();
            boolean same = Math.abs(y(second) - y(meant)) < near
                    && (Math.abs(second.x() - meant.x()) < near
                            || Math.abs(second.x() + second.width() - meant.x() - meant.width()) < near);
            return same ? move : null;
        }

        Box of(Box b) {
            double left = toX + scale * (b.x() - fromX);
            double top = toY + scale * (b.y() - fromY);
            return new Box(
                    (int) Math.max(0, Math.round(left)),
                    (int) Math.max(0, Math.round(top)),
                    (int) Math.max(1, Math.round(scale * b.width())),
                    (int) Math.max(1, Math.round(scale * b.height())));
        }
    }
}
