package farglass.work.task;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class TasksTest {
    private static final Logger LOG = Logger.getLogger(Tasks.class.getName());

    private final ExecutorService results = Executors.newSingleThreadExecutor();
    private final Tasks tasks = new Tasks(results);

    /** What goes wrong on purpose here need not be printed. */
    @BeforeAll
    static void quietly() {
        LOG.setLevel(Level.OFF);
    }

    @AfterAll
    static void loudly() {
        LOG.setLevel(null);
    }

    @AfterEach
    void close() {
        tasks.close();
        results.shutdown();
    }

    /** Everything sent to the thread of results before now has been delivered. */
    private void delivered() throws Exception {
        results.submit(() -> {}).get();
    }

    @Test
    void writesAreDoneInTheOrderGivenAndFailuresAreTold() throws Exception {
        List<Integer> order = Collections.synchronizedList(new ArrayList<>());
        List<String> failures = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(50);
        for (int i = 0; i < 50; i++) {
            int n = i;
            tasks.write(
                    () -> {
                        order.add(n);
                        if (n == 20) {
                            throw new IllegalStateException("no room");
                        }
                        return n;
                    },
                    x -> done.countDown(),
                    e -> {
                        failures.add(e.getMessage());
                        done.countDown();
                    });
        }
        assertThat(done.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(order).isSorted().hasSize(50);
        assertThat(failures).containsExactly("no room");
    }

    @Test
    void onlyTheNewestAnswerOfAQuestionIsDelivered() throws Exception {
        CountDownLatch hold = new CountDownLatch(1);
        List<Integer> delivered = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch last = new CountDownLatch(1);
        for (int i = 0; i < 30; i++) {
            int n = i;
            tasks.query(
                    "profile",
                    () -> {
                        hold.await();
                        return n;
                    },
                    x -> {
                        delivered.add(x);
                        if (x == 29) {
                            last.countDown();
                        }
                    },
                    e -> {});
        }
        hold.countDown();
        assertThat(last.await(20, TimeUnit.SECONDS)).isTrue();
        delivered();
        assertThat(delivered).containsExactly(29);
    }

    @Test
    void questionsDoNotDisturbEachOther() throws Exception {
        CountDownLatch both = new CountDownLatch(2);
        tasks.query("a", () -> 1, x -> both.countDown(), e -> {});
        tasks.query("b", () -> 2, x -> both.countDown(), e -> {});
        assertThat(both.await(20, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void longWorkShowsItsShareAndStopsWhenCancelled() throws Exception {
        CountDownLatch running = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        AtomicInteger rounds = new AtomicInteger();
        List<Tasks.Running> shown = Collections.synchronizedList(new ArrayList<>());
        tasks.onProgress(shown::add);
        tasks.longTask("counting", (progress, cancelled) -> {
            progress.accept(0.5);
            running.countDown();
            while (!cancelled.getAsBoolean()) {
                rounds.incrementAndGet();
                Thread.onSpinWait();
            }
            stopped.countDown();
        });
        assertThat(running.await(20, TimeUnit.SECONDS)).isTrue();
        delivered();
        assertThat(shown).containsExactly(new Tasks.Running("counting", 0), new Tasks.Running("counting", 0.5));
        tasks.cancelLongTask();
        assertThat(stopped.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(rounds.get()).isPositive();
    }

    @Test
    void aFailedLongWorkDoesNotStopTheNextOne() throws Exception {
        AtomicBoolean ran = new AtomicBoolean();
        CountDownLatch next = new CountDownLatch(1);
        tasks.longTask("bad", (p, c) -> {
            throw new IllegalStateException("broken");
        });
        tasks.longTask("good", (p, c) -> {
            ran.set(!c.getAsBoolean());
            next.countDown();
        });
        assertThat(next.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(ran).isTrue();
    }

    @Test
    void closingWaitsForWhatWasConfirmed() {
        AtomicInteger written = new AtomicInteger();
        for (int i = 0; i < 200; i++) {
            tasks.write(written::incrementAndGet, x -> {}, e -> {});
        }
        tasks.close();
        assertThat(written.get()).isEqualTo(200);
    }

    @Test
    void twoCommandsOfOneNameAreBothDoneThoughAllWorkersAreBusy() throws Exception {
        CountDownLatch hold = new CountDownLatch(1);
        for (String busy : List.of("a", "b")) {
            tasks.query(busy, () -> hold.await(20, TimeUnit.SECONDS), x -> {}, e -> {});
        }
        List<Integer> written = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch told = new CountDownLatch(2);
        for (int i = 0; i < 2; i++) {
            int n = i;
            tasks.command("the file", () -> written.add(n), x -> told.countDown(), e -> {});
        }
        assertThat(told.await(20, TimeUnit.SECONDS)).isTrue();
        hold.countDown();
        assertThat(written).containsExactly(0, 1);
    }

    @Test
    void closingWaitsForCommandsAndExportsAndLetsTheRestGo() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch hold = new CountDownLatch(1);
        AtomicInteger written = new AtomicInteger();
        AtomicBoolean needless = new AtomicBoolean();
        tasks.export("reel", (progress, cancelled) -> {
            begun.countDown();
            try {
                hold.await();
            } catch (InterruptedException e) {
                return;
            }
            written.addAndGet(cancelled.getAsBoolean() ? 0 : 1);
        });
        tasks.longTask("quick copy", (progress, cancelled) -> needless.set(true));
        tasks.export("dossier", (progress, cancelled) -> written.addAndGet(cancelled.getAsBoolean() ? 0 : 10));
        tasks.command("page", () -> written.addAndGet(100), x -> {}, e -> {});
        assertThat(begun.await(20, TimeUnit.SECONDS)).isTrue();
        CountDownLatch closed = new CountDownLatch(1);
        results.submit(() -> {
                    assertThat(tasks.pending()).contains("reel", "dossier");
                    tasks.finish(closed::countDown);
                })
                .get();
        assertThat(closed.getCount()).as("something is still being written").isEqualTo(1);
        hold.countDown();
        assertThat(closed.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(written.get()).isEqualTo(111);
        assertThat(needless).isFalse();
    }

    @Test
    void anExportThatIsCancelledIsToldAndOneAfterItIsWritten() throws Exception {
        List<String> stopped = Collections.synchronizedList(new ArrayList<>());
        tasks.onStopped(stopped::add);
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch second = new CountDownLatch(1);
        tasks.export("reel", (progress, cancelled) -> {
            begun.countDown();
            while (!cancelled.getAsBoolean()) {
                Thread.onSpinWait();
            }
        });
        tasks.export("dossier", (progress, cancelled) -> second.countDown());
        assertThat(begun.await(20, TimeUnit.SECONDS)).isTrue();
        tasks.cancelLongTask();
        assertThat(second.await(20, TimeUnit.SECONDS)).isTrue();
        delivered();
        assertThat(stopped).containsExactly("reel");
    }

    @Test
    void anErrorOfTheMachineIsToldLikeAnyFailure() throws Exception {
        List<String> told = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(2);
        for (Error e : List.of(new OutOfMemoryError("heap"), new StackOverflowError())) {
            tasks.write(
                    () -> {
                        throw e;
                    },
                    x -> {},
                    x -> {
                        told.add(x.getMessage());
                        done.countDown();
                    });
        }
        assertThat(done.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(told.get(0)).contains("not enough memory").contains("kept");
        assertThat(told.get(1)).contains("StackOverflowError");
    }

    @Test
    void whatIsComputedYieldsAndWhatIsSavedDoesNot() throws Exception {
        List<Integer> priorities = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch all = new CountDownLatch(3);
        Runnable note = () -> {
            priorities.add(Thread.currentThread().getPriority());
            all.countDown();
        };
        tasks.write(() -> own(note), x -> {}, e -> {});
        while (priorities.isEmpty()) {
            Thread.onSpinWait();
        }
        tasks.query("asked", () -> own(note), x -> {}, e -> {});
        tasks.longTask("long", (progress, cancelled) -> note.run());
        assertThat(all.await(10, TimeUnit.SECONDS)).isTrue();
        assertThat(priorities).containsExactly(Thread.NORM_PRIORITY, Thread.MIN_PRIORITY, Thread.MIN_PRIORITY);
    }

    private static boolean own(Runnable r) {
        r.run();
        return true;
    }
}
