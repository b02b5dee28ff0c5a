package farglass.store;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** What could not be done beside a change; kept until somebody listens. */
final class Warnings {
    private final List<String> unheard = new ArrayList<>();
    private @Nullable Consumer<String> listener;

    synchronized void say(@Nullable String sentence) {
        if (listener == null) {
            unheard.add(sentence);
        } else {
            listener.accept(sentence);
        }
    }

    /** What was said before is said now. */
    synchronized void listen(Consumer<String> to) {
        listener = to;
        unheard.forEach(to);
        unheard.clear();
    }
}
