package farglass.desk.shell;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ListCell;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * Brings what is new into sight piece by piece. A control costs most when it is styled for the first time, and a page
 * has dozens: put in together they would hold the interface thread for half a second. Here as many are made, put in
 * place and styled as a pulse has time for; the others wait for the next pulse. Used on the interface thread only.
 */
public final class Gradual {
    /** What a pulse may spend here; layout and painting of what came in are added to it. */
    private static final long SHARE_NANOS = 2_000_000;
    /** About the height of a row, which stands in its place until it is made. */
    private static final double ROW = 48;
    /** What of a list comes in a pulse: two rows. */
    private static final double UNFOLDED = 2 * ROW;
    /** Pulses that it waits for room. */
    private static final int WAITS = 3;

    private final Deque<Job> jobs = new ArrayDeque<>();
    private final List<Runnable> deeds = new ArrayList<>();
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            pulse();
        }
    };
    /** When this pulse's share began; 0 while nothing was made in it. */
    private long began;

    private Gradual() {}

    /** What waits in a window; every window has its own. */
    private static Gradual of(Scene scene) {
        return (Gradual) scene.getProperties().computeIfAbsent(Gradual.class, k -> new Gradual());
    }

    /** Parts of a view, put in once it is in a window, one after another, before what others put there meanwhile. */
    public static void parts(Pane pane, Node... parts) {
        new Parts(pane, Arrays.stream(parts).map(Gradual::made).toList(), List.of(parts)).follow();
    }

    /** Takes the parts of a view out of it, and of all that lies in it, so that they come one after another again. */
    public static void again(Parent view) {
        List.copyOf(view.getChildrenUnmodifiable()).forEach(child -> {
            if (child instanceof Parent parent) {
                again(parent);
            }
        });
        if (view instanceof Pane pane
                && pane.getProperties().get(Parts.class) instanceof Parts before
                && !before.fixed.isEmpty()) {
            before.end();
            pane.getChildren().removeAll(before.fixed);
            new Parts(pane, before.fixed.stream().map(Gradual::made).toList(), before.fixed).follow();
        }
    }

    private static Supplier<Node> made(Node part) {
        return () -> part;
    }

    /**
     * In place of what a view holds, or is still to hold, other parts that are made one after another. What was there
     * stays until its place is taken, so that nothing jumps; while the view is in no window it goes at once.
     */
    public static void anew(Pane pane, List<? extends Supplier<? extends Node>> parts) {
        if (pane.getProperties().get(Parts.class) instanceof Parts before) {
            before.end();
        }
        if (pane.getScene() == null) {
            pane.getChildren().clear();
        }
        new Parts(pane, parts, List.of()).follow();
    }

    /**
     * What a row of a list shows; made at once while there is time in this pulse, else in a later one, and of a list in
     * no window not before it is in one.
     */
    public static void row(ListCell<?> cell, Supplier<? extends Node> content) {
        Scene scene = cell.getScene();
        if (forMeasure(cell)) {
            cell.setGraphic(place());
            return;
        }
        if (scene != null && of(scene).timeLeft()) {
            cell.setGraphic(content.get());
            return;
        }
        Region place = place();
        cell.setGraphic(place);
        new Row(cell, place, content).follow();
    }

    private static Region place() {
        Region place = new Region();
        place.setMinHeight(ROW);
        return place;
    }

    /** Whether a list only asks how high rows out of sight may be, to tell how long it is. */
    private static boolean forMeasure(ListCell<?> cell) {
        return cell.getParent() != null && !cell.getParent().isVisible();
    }

    /**
     * A list that comes into sight for the first time grows from its top: all the rows that it can show are made as
     * soon as it is laid out, whatever stands in them. Where it has more room than it takes, it is laid at the top.
     */
    public static <L extends Region> L unfolding(L list) {
        StackPane.setAlignment(list, Pos.TOP_LEFT);
        new Unfolding(list).follow();
        return list;
    }

    /** Runs something when all that waits in a node's window is in place, or at once if nothing waits. */
    public static void afterwards(Node node, Runnable deed) {
        if (node.getScene() == null || settled(node.getScene())) {
            deed.run();
        } else {
            of(node.getScene()).deeds.add(deed);
        }
    }

    /** Gives a control the keyboard, as soon as it is in a window. */
    public static void focus(Node node) {
        // what lays its parent into the window may still be at work
        Runnable take = () -> Platform.runLater(node::requestFocus);
        if (node.getScene() != null) {
            take.run();
            return;
        }
        node.sceneProperty().addListener(new InvalidationListener() {
            @Override
            public void invalidated(Observable scene) {
                if (node.getScene() != null) {
                    node.sceneProperty().removeListener(this);
                    take.run();
                }
            }
        });
    }

    /** Whether nothing of what is in a window is still to come. */
    public static boolean settled(Scene scene) {
        Gradual g = of(scene);
        return g.deeds.isEmpty() && g.jobs.isEmpty();
    }

    private void pulse() {
        if (jobs.isEmpty()) {
            timer.stop();
            List<Runnable> due = List.copyOf(deeds);
            deeds.clear();
            due.forEach(Runnable::run);
            return;
        }
        begin();
        boolean more;
        do {
            more = jobs.getFirst().step();
        } while (more && timeLeft() && !jobs.isEmpty());
    }

    private boolean timeLeft() {
        if (began == 0) {
            begin();
        }
        return System.nanoTime() - began < SHARE_NANOS;
    }

    private void begin() {
        began = System.nanoTime();
        // comes after this pulse's layout
        Platform.runLater(() -> began = 0);
    }

    /** Something that comes in one or several steps; it has its turn only while it is in a window. */
    private abstract static class Job implements InvalidationListener {
        private final Node owner;
        /** Of the window it is in; null in none. */
        private Gradual queue;

        Job(Node owner) {
            this.owner = owner;
        }

        /**
         * One step; the last one ends it.
         *
         * @return whether there may be others in this pulse
         */
        abstract boolean step();

        /** Has its next turn after all others. */
        void goBehind() {
            if (queue != null) {
                queue.jobs.remove(this);
                queue.jobs.add(this);
            }
        }

        void follow() {
            owner.sceneProperty().addListener(this);
            invalidated(owner.sceneProperty());
        }

        void end() {
            owner.sceneProperty().removeListener(this);
            leave();
        }

        private void leave() {
            if (queue != null) {
                queue.jobs.remove(this);
                queue = null;
            }
        }

        @Override
        public void invalidated(Observable scene) {
            leave();
            if (owner.getScene() != null) {
                queue = of(owner.getScene());
                queue.jobs.add(this);
                queue.timer.start();
            }
        }
    }

    private static final class Parts extends Job {
        private final Pane pane;
        private final Deque<Supplier<? extends Node>> waiting;
        /** All of them, where they are always the same; else empty, and what is there goes. */
        private final List<Node> fixed;
        /** How many are in place. */
        private int there;

        Parts(Pane pane, List<? extends Supplier<? extends Node>> parts, List<Node> fixed) {
            super(pane);
            this.pane = pane;
            this.waiting = new ArrayDeque<>(parts);
            this.fixed = fixed;
            pane.getProperties().put(Parts.class, this);
        }

        @Override
        boolean step() {
            if (waiting.size() <= 1) {
                end();
            }
            List<Node> children = pane.getChildren();
            if (!waiting.isEmpty()) {
                Node part = waiting.remove().get();
                if (fixed.isEmpty() && there < children.size()) {
                    children.set(there, part);
                } else {
                    children.add(Math.min(there, children.size()), part);
                }
                there++;
                part.applyCss();
            }
            if (fixed.isEmpty() && waiting.isEmpty() && there < children.size()) {
                children.subList(there, children.size()).clear();
            }
            return true;
        }
    }

    private static final class Row extends Job {
        private final ListCell<?> cell;
        private final Supplier<? extends Node> content;

        /** @param place what stands in the row; gone from it when the row shows something else by now */
        Row(ListCell<?> cell, Node place, Supplier<? extends Node> content) {
            super(place);
            this.cell = cell;
            this.content = content;
        }

        @Override
        boolean step() {
            end();
            Node made = content.get();
            cell.setGraphic(made);
            made.applyCss();
            return true;
        }
    }

    private static final class Unfolding extends Job {
        private final Region list;
        private double high;
        /** Pulses without any room, as before the first layout. */
        private int waited;

        Unfolding(Region list) {
            super(list);
            this.list = list;
            list.setMaxHeight(0);
        }

        @Override
        boolean step() {
            double room = list.getParent().getLayoutBounds().getHeight();
            if (room <= 0 && waited < WAITS) {
                waited++;
                goBehind();
                return false;
            }
            high += UNFOLDED;
            if (high >= room) {
                end();
                list.setMaxHeight(Region.USE_COMPUTED_SIZE);
            } else {
                list.setMaxHeight(high);
                goBehind();
            }
            // its rows are made when it is laid out
            return false;
        }
    }
}
