package farglass.store.server;

import java.util.Locale;
import java.util.Properties;
import org.postgresql.Driver;
import org.postgresql.PGProperty;

/**
 * Where a team's library is: {@code jdbc:postgresql://host:port/database?options}, without a password. Who one is and
 * the password are found in PostgreSQL's own ways: {@code PGUSER}, {@code PGPASSWORD}, {@code ~/.pgpass}, a service
 * file.
 */
public record TeamAddress(String url) {
    private static final String BEGINNING = "jdbc:postgresql:";

    /** @throws IllegalArgumentException when it is no such address, or holds a password */
    public TeamAddress {
        if (!url.startsWith(BEGINNING) || Driver.parseURL(url, new Properties()) == null) {
            throw new IllegalArgumentException(TeamWords.of("address.none"));
        }
        String asked = url.toLowerCase(Locale.ROOT);
        if (asked.contains("password=") || asked.matches("jdbc:postgresql://[^/]*@.*")) {
            throw new IllegalArgumentException(TeamWords.of("address.password"));
        }
    }

    /**
     * What the driver is asked for: an encrypted connection to a server that is proven, where it is not this machine.
     */
    Properties properties() {
        Properties given = new Properties();
        String login = System.getenv("PGUSER");
        if (login != null && !login.isBlank()) {
            given.setProperty(PGProperty.USER.getName(), login);
        }
        String password = System.getenv("PGPASSWORD");
        if (password != null) {
            given.setProperty(PGProperty.PASSWORD.getName(), password);
        }
        Properties parsed = Driver.parseURL(url, given);
        if (parsed == null) {
            throw new IllegalStateException("an address that was one is none");
        }
        if (PGProperty.SSL_MODE.getOrDefault(parsed) == null && !local(parsed)) {
            parsed.setProperty(PGProperty.SSL_MODE.getName(), "verify-full");
        }
        parsed.setProperty(PGProperty.CONNECT_TIMEOUT.getName(), "5");
        parsed.setProperty(PGProperty.LOGIN_TIMEOUT.getName(), "10");
        parsed.setProperty(PGProperty.SOCKET_TIMEOUT.getName(), "20");
        parsed.setProperty(PGProperty.TCP_KEEP_ALIVE.getName(), "true");
        parsed.setProperty(PGProperty.APPLICATION_NAME.getName(), "Far Glass");
        return parsed;
    }

    private static boolean local(Properties p) {
        String hosts = String.valueOf(PGProperty.PG_HOST.getOrDefault(p));
        for (String host : hosts.split(",")) {
            if (!host.equals("localhost") && !host.startsWith("127.") && !host.equals("::1") && !host.equals("[::1]")) {
                return false;
            }
        }
        return true;
    }
}
