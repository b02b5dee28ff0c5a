package farglass.work;

import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.work.session.LibraryContent;
import farglass.work.session.Messages;
import farglass.work.session.Session;
import farglass.work.task.Tasks;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** A session on a library of its own, with a thread of results, and what it has told. */
public final class OpenSession implements AutoCloseable, Messages {
    /** When everything here happens. */
    public static final Clock NOON = Clock.fixed(Instant.parse("2026-03-04T12:00:00Z"), ZoneOffset.UTC);

    private final ExecutorService results = Executors.newSingleThreadExecutor();
    private final List<String> problems = Collections.synchronizedList(new ArrayList<>());
    private final List<String> told = Collections.synchronizedList(new ArrayList<>());
    private final Library library;
    private final Session session;

    private OpenSession(Library library) throws Exception {
        this(LibraryContent.of(library));
    }

    /** On what was read of a library. */
    public OpenSession(LibraryContent content) throws Exception {
        this.library = content.library();
        this.session = on(() -> new Session(content, NOON, new Tasks(results), this, "nobody"));
    }

    /** On a new library with these matches. */
    public static OpenSession of(Path file, List<MatchRecord> matches) throws Exception {
        Library library = Library.open(file, NOON);
        library.addAll(matches);
        return new OpenSession(library);
    }

    /** On a library that is there, for reading only. */
    public static OpenSession reading(Path file) throws Exception {
        return new OpenSession(Library.read(file, NOON));
    }

    public Session session() {
        return session;
    }

    public Library library() {
        return library;
    }

    public List<String> problems() {
        return problems;
    }

    public List<String> told() {
        return told;
    }

    @Override
    public void problem(String message) {
        problems.add(message);
    }

    @Override
    public void done(String message) {
        told.add(message);
    }

    /** On the thread of results, which the session belongs to. */
    public <T> T on(Callable<T> work) throws Exception {
        return results.submit(work).get();
    }

    public void on(Runnable work) throws Exception {
        results.submit(work).get();
    }

    /** What was ordered before now is written or told, and so is what that ordered. */
    public void settled() throws Exception {
        for (int i = 0; i < 3; i++) {
            CountDownLatch done = new CountDownLatch(2);
            session.tasks().write(() -> true, x -> done.countDown(), e -> {});
            session.tasks().command("nothing", () -> true, x -> done.countDown(), e -> {});
            done.await();
            CountDownLatch last = new CountDownLatch(1);
            session.tasks().export("nothing", (progress, cancelled) -> last.countDown());
            last.await();
            on(() -> {});
        }
    }

    @Override
    public void close() {
        session.close();
        results.shutdown();
    }
}
