package farglass.work.session;

/** Where sentences for the user go: what happened, what was kept, what to do. May be called from any thread. */
public interface Messages {
    void problem(String message);

    void done(String message);
}
