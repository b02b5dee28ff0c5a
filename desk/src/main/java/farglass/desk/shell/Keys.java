package farglass.desk.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/**
 * Key bindings of a station: the table that is obeyed is the table that the key sheet shows, and each of them can be
 * given another key.
 */
public final class Keys {
    private final List<Binding> bindings = new ArrayList<>();
    private BiConsumer<String, String> changed = (id, keys) -> {};

    /** A station with keys of its own. */
    public interface Bound {
        Keys keys();
    }

    /**
     * A line of the key sheet.
     *
     * @param id what to {@link #rebind}; null for a key that stays
     */
    public record Line(String id, String keys, String does) {
        public static Line fixed(String keys, String does) {
            return new Line(null, keys, does);
        }
    }

    private static final class Binding {
        private final String id;
        private final KeyCombination usual;
        private final String does;
        private final BooleanSupplier when;
        private final Runnable action;
        private KeyCombination keys;

        Binding(String id, KeyCombination keys, String does, BooleanSupplier when, Runnable action) {
            this.id = id;
            this.usual = keys;
            this.keys = keys;
            this.does = does;
            this.when = when;
            this.action = action;
        }
    }

    /** @param does key of its description in the words */
    public Keys on(String combination, String does, Runnable action) {
        return on(combination, does, () -> true, action);
    }

    /** @param when whether the binding holds at the moment */
    public Keys on(String combination, String does, BooleanSupplier when, Runnable action) {
        KeyCombination keys = KeyCombination.valueOf(combination);
        if (!(keys instanceof KeyCodeCombination)) {
            // a misspelled key would be taken for a character that no keyboard sends
            throw new IllegalArgumentException("key (" + combination + ") is not one of KeyCode's names");
        }
        long same = bindings.stream().filter(b -> b.id.startsWith(does)).count();
        bindings.add(new Binding(same == 0 ? does : does + "#" + same, keys, Words.of(does), when, action));
        return this;
    }

    /**
     * Takes up the keys the user has chosen.
     *
     * @param chosen by id
     * @param keep told of every change
     */
    public void chosen(Function<String, Optional<String>> chosen, BiConsumer<String, String> keep) {
        for (Binding b : bindings) {
            chosen.apply(b.id).ifPresent(k -> b.keys = KeyCombination.valueOf(k));
        }
        changed = keep;
    }

    /** Runs the first binding that matches and holds, and consumes the event. */
    public void handle(KeyEvent e) {
        for (Binding b : bindings) {
            if (b.keys.match(e) && b.when.getAsBoolean()) {
                e.consume();
                b.action.run();
                return;
            }
        }
    }

    public List<Line> lines() {
        return bindings.stream()
                .map(b -> new Line(b.id, b.keys.getDisplayText(), b.does))
                .toList();
    }

    /**
     * Gives a binding the key that was just pressed.
     *
     * @return why it cannot be, or empty when it is done
     */
    Optional<String> rebind(String id, KeyEvent e) {
        KeyCode code = e.getCode();
        boolean plain = !e.isControlDown() && !e.isAltDown() && !e.isMetaDown();
        if (plain && (code.isLetterKey() || code.isDigitKey())) {
            return Optional.of(Words.of("keys.letters"));
        }
        boolean kept = code == KeyCode.F1 || (e.isControlDown() && code.isDigitKey());
        KeyCombination next = combination(e);
        Optional<String> holder = bindings.stream()
                .filter(b -> b.keys.equals(next) && !b.id.equals(id))
                .map(b -> b.does)
                .findFirst();
        if (kept || holder.isPresent()) {
            return Optional.of(
                    Words.of("keys.taken", next.getDisplayText(), holder.orElse(Words.of("keys.of-program"))));
        }
        for (Binding b : bindings) {
            if (b.id.equals(id)) {
                b.keys = next;
                changed.accept(id, next.getName());
            }
        }
        return Optional.empty();
    }

    /** Every binding has its usual key again. */
    void usual() {
        for (Binding b : bindings) {
            if (!b.keys.equals(b.usual)) {
                b.keys = b.usual;
                changed.accept(b.id, b.usual.getName());
            }
        }
    }

    private static KeyCombination combination(KeyEvent e) {
        List<KeyCombination.Modifier> with = new ArrayList<>();
        if (e.isControlDown()) {
            with.add(KeyCombination.CONTROL_DOWN);
        }
        if (e.isAltDown()) {
            with.add(KeyCombination.ALT_DOWN);
        }
        if (e.isShiftDown()) {
            with.add(KeyCombination.SHIFT_DOWN);
        }
        return new KeyCodeCombination(e.getCode(), with.toArray(KeyCombination.Modifier[]::new));
    }
}
