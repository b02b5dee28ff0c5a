package farglass.cli;

import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Mirror;
import farglass.store.server.Exchange;
import farglass.store.server.TeamAddress;
import farglass.store.server.TeamException;
import farglass.store.server.TeamServer;
import farglass.store.server.TeamSetup;
import farglass.team.TeamRole;
import farglass.work.session.Upkeep;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** A team's library on a server, and the mirrors of it. */
@Command(name = "team", description = "The library of a team", mixinStandardHelpOptions = true)
final class TeamCommand {
    private final Output output;
    private final Clock clock;

    TeamCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    private static TeamAddress address(String url) {
        return new TeamAddress(url);
    }

    @Command(
            name = "init",
            description = "Makes the library of a team in a database, or brings it to the form of today",
            mixinStandardHelpOptions = true)
    int init(@Option(names = "--team", paramLabel = "URL", required = true) String url) throws Unreadable {
        try {
            TeamSetup.make(address(url));
            try (TeamServer server = TeamServer.open(address(url))) {
                output.print(Map.of("team", server.team().id()));
            }
            return CliMain.DONE;
        } catch (TeamException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    @Command(
            name = "member",
            description =
                    "Says what a login of the server may do: owner, analyst, coach or athlete; none sends it away",
            mixinStandardHelpOptions = true)
    int member(
            @Parameters(index = "0", paramLabel = "LOGIN") String login,
            @Parameters(index = "1", paramLabel = "ROLE") String role,
            @Option(names = "--athlete", paramLabel = "ID", description = "whose own an athlete reads") String athlete,
            @Option(names = "--team", paramLabel = "URL", required = true) String url)
            throws Unreadable {
        try {
            if (role.equals("none")) {
                TeamSetup.leave(address(url), login);
                output.say("What this login has mirrored stays on its machine: ask for it to be deleted there.");
            } else {
                TeamSetup.member(address(url), login, role(role, athlete), athlete);
            }
            output.print(rows(TeamSetup.members(address(url))));
            return CliMain.DONE;
        } catch (TeamException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    private static TeamRole role(String word, @Nullable String athlete) {
        for (TeamRole r : TeamRole.values()) {
            if (r.code().equals(word.toLowerCase(Locale.ROOT))) {
                if ((r == TeamRole.ATHLETE) != (athlete != null)) {
                    throw new IllegalArgumentException("--athlete ID goes with the role athlete, and only with it");
                }
                return r;
            }
        }
        throw new IllegalArgumentException("\"" + word + "\" is not one of owner, analyst, coach, athlete, none");
    }

    private static List<Map<String, Object>> rows(List<TeamSetup.Member> members) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (TeamSetup.Member m : members) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("login", m.login());
            row.put("role", m.role());
            if (m.athlete() != null) {
                row.put("athlete", m.athlete());
            }
            rows.add(row);
        }
        return rows;
    }

    @Command(
            name = "push",
            description =
                    "Sends what a library holds to its team and takes in what others did; with --team a library of"
                            + " one's own becomes a mirror first",
            mixinStandardHelpOptions = true)
    int push(@Parameters(paramLabel = "LIBRARY") Path library, @Option(names = "--team", paramLabel = "URL") String url)
            throws Unreadable {
        if (!Files.exists(library)) {
            throw new Unreadable(library + ": there is no such library");
        }
        return exchange(library, url, true);
    }

    @Command(
            name = "pull",
            description = "Takes in what others did; a library that is not there yet begins as a mirror of the team",
            mixinStandardHelpOptions = true)
    int pull(@Parameters(paramLabel = "LIBRARY") Path library, @Option(names = "--team", paramLabel = "URL") String url)
            throws Unreadable {
        return exchange(library, url, false);
    }

    private int exchange(Path file, @Nullable String url, boolean push) throws Unreadable {
        boolean fresh = !Files.exists(file);
        if (fresh && url == null) {
            throw new IllegalArgumentException("--team URL says which team " + file + " is to be a mirror of");
        }
        TeamAddress given = url == null ? null : address(url);
        if (fresh && given != null) {
            // before anything is made: an address that leads nowhere leaves no file behind
            try (TeamServer server = TeamServer.open(given)) {
                server.team();
            } catch (TeamException e) {
                throw new Unreadable(e.getMessage());
            }
        }
        try (Library library = Library.open(file, clock)) {
            library.author(System.getProperty("user.name"));
            library.onWarning(output::say);
            Mirror mirror = library.mirror();
            if (given != null) {
                if (!mirror.attached() && !fresh && !push) {
                    throw new Unreadable(
                            file + " is a library of its own. Nothing was changed. \"team push\" makes it a"
                                    + " mirror and sends what it holds, or pull into a new file.");
                }
                mirror.attach(given.url());
            }
            Mirror.State state = mirror.state()
                    .orElseThrow(() -> new Unreadable(
                            file + " is no mirror of a team. Nothing was changed. Give --team URL to make it one."));
            Exchange.Done done;
            try (TeamServer server = TeamServer.open(address(state.url()))) {
                Exchange exchange = new Exchange(
                        library,
                        server,
                        share -> output.say(Math.round(100 * share) + " % of the team's library is here."));
                done = push ? exchange.both() : exchange.read();
            }
            Upkeep.now(library);
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("sent", done.sent());
            m.put("refused", done.refused());
            Map<String, Object> changed = new LinkedHashMap<>();
            done.changed().forEach((kind, items) -> changed.put(kind.code(), items.size()));
            m.put("changed", changed);
            m.putAll(row(mirror.state().orElseThrow()));
            output.print(m);
            return CliMain.DONE;
        } catch (LibraryException | TeamException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    private static Map<String, Object> row(Mirror.State s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("team", s.team());
        m.put("url", s.url());
        m.put("waiting", s.waiting());
        m.put("clashes", s.clashes());
        m.put("reachedAt", s.reachedAt() == null ? null : s.reachedAt().toString());
        return m;
    }

    @Command(
            name = "status",
            description = "Tells how a mirror stands to its team: what waits here, and what is there and not here yet",
            mixinStandardHelpOptions = true)
    int status(
            @Parameters(paramLabel = "LIBRARY") Path library,
            @Option(names = "--team", paramLabel = "URL", description = "another address of the same team") String url)
            throws Unreadable {
        try (Library open = Library.read(library, clock)) {
            Optional<Mirror.State> state = open.mirror().state();
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("mirror", state.isPresent());
            if (state.isPresent()) {
                m.putAll(row(state.get()));
                String reached = null;
                try (TeamServer server =
                        TeamServer.open(address(url == null ? state.get().url() : url))) {
                    m.put("behind", server.team().last() - state.get().seen());
                } catch (TeamException e) {
                    reached = e.getMessage();
                }
                m.put("reached", reached == null);
                if (reached != null) {
                    output.say(reached);
                }
            }
            output.print(m);
            return CliMain.DONE;
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    @Command(
            name = "clashes",
            description = "Lists where two people changed the same; --decide ID with --mine or --theirs decides one",
            mixinStandardHelpOptions = true)
    int clashes(
            @Parameters(paramLabel = "LIBRARY") Path library,
            @Option(names = "--decide", paramLabel = "ID") Long decide,
            @Option(names = "--mine") boolean mine,
            @Option(names = "--theirs") boolean theirs)
            throws Unreadable {
        if ((decide == null) == (mine || theirs) || (mine && theirs)) {
            throw new IllegalArgumentException("--decide ID goes with one of --mine and --theirs");
        }
        try (Library open = decide == null ? Library.read(library, clock) : Library.open(library, clock)) {
            if (decide != null && !open.mirror().decide(decide, mine)) {
                throw new IllegalArgumentException("there is no clash " + decide);
            }
            List<Map<String, Object>> rows = new ArrayList<>();
            for (Mirror.Open c : open.mirror().clashes()) {
                Map<String, Object> row = new LinkedHashMap<>();
                row.put("id", c.id());
                row.put("kind", c.kind().code());
                row.put("item", c.item());
                row.put("fields", c.fields());
                row.put("mine", c.mine());
                row.put("foundAt", c.at().toString());
                rows.add(row);
            }
            output.print(rows);
            return CliMain.DONE;
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
    }
}
