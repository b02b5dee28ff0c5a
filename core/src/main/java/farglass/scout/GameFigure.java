package farglass.scout;

import farglass.match.Role;
import farglass.stats.Trial;
import java.util.List;
import java.util.Optional;

/**
 * A game in one drawing: its places and the main ways between them, from the start to the finish, three to five paths
 * and no more.
 *
 * @param boxes in the order of columns, then rows
 * @param links between boxes; the first of a box is what is tried most there, another what comes when that is denied
 * @param columns number of columns, at least 1 unless there is no box
 * @param rows number of rows
 */
public record GameFigure(List<Box> boxes, List<Link> links, int columns, int rows) {
    public GameFigure {
        boxes = List.copyOf(boxes);
        links = List.copyOf(links);
    }

    /** What a box is. */
    public enum Kind {
        PLACE,
        FINISH
    }

    /**
     * A place as the athlete has it, or the finish.
     *
     * @param key names it within the figure
     * @param position code of the place; empty for the finish
     */
    public record Box(String key, Kind kind, String position, Role role, int column, int row) {}

    /**
     * One way.
     *
     * @param technique code
     * @param trials one per attempt whose outcome was seen; those that got there worked
     * @param second whether it is what is tried less often from there
     */
    public record Link(String from, String to, String technique, List<Trial> trials, boolean second) {
        public Link {
            trials = List.copyOf(trials);
        }

        /** Attempts whose outcome was seen. */
        public int tries() {
            return trials.size();
        }

        /** Attempts that got there. */
        public int worked() {
            return (int) trials.stream().filter(Trial::worked).count();
        }
    }

    /** The box of a key. */
    public Optional<Box> box(String key) {
        return boxes.stream().filter(b -> b.key().equals(key)).findFirst();
    }

    /** Most attempts of any way, at least 1: what the widest line stands for. */
    public int most() {
        return links.stream().mapToInt(Link::tries).max().orElse(1);
    }
}
