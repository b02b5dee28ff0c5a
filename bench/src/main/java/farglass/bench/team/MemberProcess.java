package farglass.bench.team;

import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.TeamChange;
import farglass.work.team.TeamLink;
import farglass.work.team.TeamListener;
import farglass.work.team.TeamStatus;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * The process that is killed: tags a match in its mirror and says of each edit that it is about to be made, and that it
 * is confirmed. Arguments: mirror, address, name, match, how many tags of his own at most, seed, number of the first
 * edit. What comes in: {@code clock SECONDS} sets its clock, {@code end} ends it.
 */
public final class MemberProcess {
    private static final int LONGEST_MS = 60;

    private MemberProcess() {}

    /** Some seconds beside the right time. */
    private static final class WrongClock extends Clock {
        private volatile Duration off = Duration.ZERO;

        @Override
        public Instant instant() {
            return Instant.now().plus(off);
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    /** Takes in what comes. */
    private static final class Silent implements TeamListener {
        @Override
        public void changed(Map<TeamChange.Kind, Set<String>> items) {
            // the mirror has it
        }

        @Override
        public void status(TeamStatus now) {
            // told by what comes of it
        }
    }

    public static void main(String[] args) throws Exception {
        java.util.logging.Logger.getLogger("").setLevel(java.util.logging.Level.OFF);
        WrongClock clock = new WrongClock();
        Random random = new Random(Long.parseLong(args[5]));
        TeamWriter writer = new TeamWriter(
                args[2], args[3], Integer.parseInt(args[4]), random.nextLong(), Integer.parseInt(args[6]));
        try (Library library = Library.open(Path.of(args[0]), clock)) {
            library.author(args[2]);
            library.mirror().attach(args[1]);
            TeamLink link = new TeamLink(library, args[2], Runnable::run, new Silent());
            link.start();
            while (library.match(args[3]).isEmpty()) {
                Thread.sleep(20);
            }
            say("ready");
            boolean[] over = new boolean[1];
            Thread hears = new Thread(() -> hear(clock, over));
            hears.setDaemon(true);
            hears.start();
            while (!over[0]) {
                try {
                    writer.edit(library, MemberProcess::say);
                } catch (LibraryException e) {
                    say("refused");
                }
                Thread.sleep(random.nextInt(LONGEST_MS));
            }
            link.close();
        }
        say("ended");
        System.exit(0);
    }

    private static void hear(WrongClock clock, boolean[] over) {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (line.startsWith("clock ")) {
                    clock.off = Duration.ofSeconds(Long.parseLong(line.substring(6)));
                } else {
                    over[0] = true;
                }
            }
        } catch (IOException e) {
            over[0] = true;
        }
    }

    private static void say(String line) {
        System.out.println(line);
        System.out.flush();
    }
}
