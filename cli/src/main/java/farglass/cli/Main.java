package farglass.cli;

import java.io.PrintStream;
import java.io.PrintWriter;
import java.time.Clock;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The batch part of {@code ./farglass}. */
@Command(
        name = "farglass",
        description = "Far Glass, batch commands",
        subcommands = {
            ProfileCommand.class,
            PlanCommand.class,
            SimulateCommand.class,
            ScoreCommand.class,
            CheckCommand.class,
            AgreeCommand.class,
            CampCommand.class,
            DebriefCommand.class,
            ImportCommand.class,
            ExportCommand.class,
            FilmCommand.class
        })
public final class Main {
    static final int DONE = 0;
    static final int BAD_ARGUMENTS = 2;
    static final int UNREADABLE = 3;

    private Main() {}

    /**
     * @param out gets the JSON document
     * @param err gets diagnostics
     * @param clock gives today's date for backups and the edit log
     * @return the exit code
     */
    static int run(PrintStream out, PrintStream err, Clock clock, String... args) {
        Main main = new Main();
        CommandLine line = new CommandLine(main, new CommandFactory(new Output(out), clock));
        line.setErr(new PrintWriter(err, true));
        line.setExecutionExceptionHandler((e, command, parsed) -> {
            if (e instanceof Unreadable) {
                err.println(e.getMessage().replace('\n', ' '));
                return UNREADABLE;
            }
            if (e instanceof IllegalArgumentException) {
                err.println(e.getMessage());
                return BAD_ARGUMENTS;
            }
            throw e;
        });
        if (args.length == 0) {
            line.usage(err);
            return BAD_ARGUMENTS;
        }
        return line.execute(args);
    }

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        System.exit(run(System.out, System.err, Clock.systemDefaultZone(), args));
    }
}
