package farglass.work.session;

import org.jspecify.annotations.Nullable;

/** Where sentences for the user go: what happened, what was kept, what to do. May be called from any thread. */
public interface Messages {
    /** Something went wrong; it stays until it is put away. */
    void problem(@Nullable String message);

    /** Something was done; it may fade. */
    void done(String message);
}
