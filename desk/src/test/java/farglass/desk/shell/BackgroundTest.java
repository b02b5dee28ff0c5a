package farglass.desk.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

class BackgroundTest {
    private static final Logger LOG = Logger.getLogger(Background.class.getName());

    private final Background background = new Background();

    @BeforeAll
    static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

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
        background.close();
    }

    @Test
    void writesAreDoneInTheOrderGivenAndFailuresAreTold() throws Exception {
        List<Integer> order = Collections.synchronizedList(new ArrayList<>());
        List<String> failures = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(50);
        for (int i = 0; i < 50; i++) {
            int n = i;
            background.write(
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
            background.query(
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
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(delivered).containsExactly(29);
    }

    @Test
    void questionsDoNotDisturbEachOther() throws Exception {
        CountDownLatch both = new CountDownLatch(2);
        background.query("a", () -> 1, x -> both.countDown(), e -> {});
        background.query("b", () -> 2, x -> both.countDown(), e -> {});
        assertThat(both.await(20, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void longWorkShowsItsShareAndStopsWhenCancelled() throws Exception {
        CountDownLatch running = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        AtomicInteger rounds = new AtomicInteger();
        background.longWork("counting", (progress, cancelled) -> {
            progress.accept(0.5);
            running.countDown();
            while (!cancelled.getAsBoolean()) {
                rounds.incrementAndGet();
                Thread.onSpinWait();
            }
            stopped.countDown();
        });
        assertThat(running.await(20, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(background.longName().get()).isEqualTo("counting");
        assertThat(background.longShare().get()).isEqualTo(0.5);
        background.cancelLongWork();
        assertThat(stopped.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(rounds.get()).isPositive();
    }

    @Test
    void aFailedLongWorkDoesNotStopTheNextOne() throws Exception {
        AtomicBoolean ran = new AtomicBoolean();
        CountDownLatch next = new CountDownLatch(1);
        background.longWork("bad", (p, c) -> {
            throw new IllegalStateException("broken");
        });
        background.longWork("good", (p, c) -> {
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
            background.write(written::incrementAndGet, x -> {}, e -> {});
        }
        background.close();
        assertThat(written.get()).isEqualTo(200);
    }

    @Test
    void twoCommandsOfOneNameAreBothDoneThoughAllWorkersAreBusy() throws Exception {
        CountDownLatch hold = new CountDownLatch(1);
        for (String busy : List.of("a", "b")) {
            background.query(busy, () -> hold.await(20, TimeUnit.SECONDS), x -> {}, e -> {});
        }
        List<Integer> written = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch told = new CountDownLatch(2);
        for (int i = 0; i < 2; i++) {
            int n = i;
            background.command("the file", () -> written.add(n), x -> told.countDown(), e -> {});
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
        background.export("reel", (progress, cancelled) -> {
            begun.countDown();
            try {
                hold.await();
            } catch (InterruptedException e) {
                return;
            }
            written.addAndGet(cancelled.getAsBoolean() ? 0 : 1);
        });
        background.longWork("quick copy", (progress, cancelled) -> needless.set(true));
        background.export("dossier", (progress, cancelled) -> written.addAndGet(cancelled.getAsBoolean() ? 0 : 10));
        background.command("page", () -> written.addAndGet(100), x -> {}, e -> {});
        assertThat(begun.await(20, TimeUnit.SECONDS)).isTrue();
        CountDownLatch closed = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> {
                    assertThat(background.pending()).contains("reel", "dossier");
                    background.finish(closed::countDown);
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
        background.onStopped(stopped::add);
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch second = new CountDownLatch(1);
        background.export("reel", (progress, cancelled) -> {
            begun.countDown();
            while (!cancelled.getAsBoolean()) {
                Thread.onSpinWait();
            }
        });
        background.export("dossier", (progress, cancelled) -> second.countDown());
        assertThat(begun.await(20, TimeUnit.SECONDS)).isTrue();
        background.cancelLongWork();
        assertThat(second.await(20, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(stopped).containsExactly("reel");
    }

    @Test
    void anErrorOfTheMachineIsToldLikeAnyFailure() throws Exception {
        List<String> told = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(2);
        for (Error e : List.of(new OutOfMemoryError("heap"), new StackOverflowError())) {
            background.write(
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
}
