package farglass.desk.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

class BackgroundTest {
    private final Background background = new Background();

    @BeforeAll
    static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
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
            background.compute(
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
        background.compute("a", () -> 1, x -> both.countDown(), e -> {});
        background.compute("b", () -> 2, x -> both.countDown(), e -> {});
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
}
