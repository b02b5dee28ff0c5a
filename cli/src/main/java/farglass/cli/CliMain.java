package farglass.cli;

import farglass.text.Language;
import farglass.text.PlainLine;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.TypeConversionException;

/** The batch part of {@code ./farglass}. */
@Command(
        name = "farglass",
        description = "Far Glass, batch commands",
        subcommands = {
            ListCommand.class,
            ProfileCommand.class,
            PlanCommand.class,
            CardCommand.class,
            BriefCommand.class,
            ReelCommand.class,
            SimulateCommand.class,
            ScoreCommand.class,
            CheckCommand.class,
            AgreeCommand.class,
            DraftCommand.class,
            CampCommand.class,
            DebriefCommand.class,
            ImportCommand.class,
            ExportCommand.class,
            VerifyCommand.class,
            BackupCommand.class,
            RestoreCommand.class,
            TeamCommand.class,
            FilmCommand.class
        })
public final class CliMain {
    /** What a user types to run it: another word where it is installed. */
    private static final String COMMAND = System.getProperty("farglass.command", "./farglass");

    private static final String VERSION = "Far Glass 0.1.0";

    private static final List<String> HELP = List.of("help", "--help", "-h");
    private static final int SYNOPSIS_WIDTH = 600;

    static final int DONE = 0;
    /** Something that must not happen did. */
    static final int UNEXPECTED = 1;

    static final int BAD_ARGUMENTS = 2;
    static final int UNREADABLE = 3;

    private CliMain() {}

    /**
     * Runs one command, as the launcher does.
     *
     * @param out gets the JSON document
     * @param err gets diagnostics
     * @param clock gives today's date for backups and the edit log
     * @return the exit code
     */
    public static int run(PrintStream out, PrintStream err, Clock clock, String... args) {
        CliMain main = new CliMain();
        CommandLine line = new CommandLine(main, new CommandFactory(new Output(out, err), clock));
        line.registerConverter(Path.class, CliMain::path);
        versioned(line);
        line.setOut(new PrintWriter(out, true, StandardCharsets.UTF_8));
        line.setErr(new PrintWriter(err, true, StandardCharsets.UTF_8));
        line.setParameterExceptionHandler((e, given) -> {
            err.println(PlainLine.message(e.getMessage()));
            err.println("Its options: " + COMMAND + " "
                    + e.getCommandLine().getCommandSpec().qualifiedName().replaceFirst("^farglass ?", "") + " --help");
            return BAD_ARGUMENTS;
        });
        line.setExecutionExceptionHandler((e, command, parsed) -> {
            if (e instanceof Unreadable) {
                err.println(e.getMessage());
                return UNREADABLE;
            }
            if (e instanceof IllegalArgumentException) {
                err.println(PlainLine.message(e.getMessage()));
                return BAD_ARGUMENTS;
            }
            return unexpected(err, e);
        });
        if (args.length == 0) {
            usage(line, err);
            return BAD_ARGUMENTS;
        }
        if (args.length == 1 && HELP.contains(args[0])) {
            usage(line, out);
            return DONE;
        }
        try {
            return line.execute(args);
        } catch (OutOfMemoryError e) {
            err.println(
                    "There was not enough memory for this input. Nothing was changed. Give a smaller one, or part of it.");
            return UNREADABLE;
        } catch (StackOverflowError e) {
            return unexpected(err, e);
        }
    }

    /** One line for every command, made from its options; the launcher's own usage ends with it. */
    private static void usage(CommandLine line, PrintStream to) {
        line.getSubcommands().forEach((name, command) -> {
            if (command.getSubcommands().isEmpty()) {
                to.print(synopsis(command));
            } else {
                command.getSubcommands().values().forEach(c -> to.print(synopsis(c)));
            }
        });
    }

    private static String synopsis(CommandLine command) {
        command.setUsageHelpWidth(SYNOPSIS_WIDTH);
        return "  "
                + command.getHelp()
                        .synopsis(0)
                        .replaceFirst("^farglass", COMMAND)
                        .replace(" [-hV]", "");
    }

    private static void versioned(CommandLine line) {
        line.getCommandSpec().version(VERSION);
        line.getSubcommands().values().forEach(CliMain::versioned);
    }

    private static int unexpected(PrintStream err, Throwable e) {
        StackTraceElement[] trace = e.getStackTrace();
        err.println(PlainLine.message(
                "Something went wrong that should not have (" + e.getClass().getSimpleName()
                        + (trace.length == 0 ? "" : " at " + trace[0].getClassName() + ":" + trace[0].getLineNumber())
                        + "). What was confirmed is kept. Please report it with this line."));
        return UNEXPECTED;
    }

    private static Path path(String text) {
        try {
            return Path.of(text);
        } catch (InvalidPathException e) {
            throw new TypeConversionException(
                    "the name \"" + text + "\" cannot be a file's here. If it holds letters beyond"
                            + " English, set LC_ALL=C.UTF-8 and try again");
        }
    }

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        // scripts read what commands print: English unless it is asked for, whatever the system speaks
        Language.named(System.getenv().getOrDefault("FARGLASS_LANGUAGE", "")).use();
        PrintStream out = new PrintStream(new FileOutputStream(FileDescriptor.out), true, StandardCharsets.UTF_8);
        PrintStream err = new PrintStream(new FileOutputStream(FileDescriptor.err), true, StandardCharsets.UTF_8);
        int code = run(out, err, Clock.system(ZoneId.systemDefault()), args);
        out.flush();
        System.exit(code);
    }
}
