package farglass.work.session;

/** Where sentences for the user go: what happened, what was kept, what to do. May be called from any thread. */
public interface Messages {
    /** Something went wrong; it stays until it is put away. */
    void problem(String message);

    /** Something was done; it may fade. */
    void done(String message);
}
