package farglass.store;

import farglass.tendency.AthleteCounts;
import farglass.tendency.ColumnCodec;
import farglass.tendency.ColumnKey;
import farglass.tendency.CountColumn;
import farglass.tendency.CountedGroup;
import farglass.tendency.KeptAverage;
import farglass.tendency.KeptCounts;
import java.io.IOException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What a library keeps of its athletes, read when it is asked for and as it stands then. */
final class KeptReader implements KeptCounts {
    private final TagReader file;
    private final String words;
    /** Athletes who have changed since they were counted. */
    private final Set<String> changed;

    private final @Nullable Average average;

    KeptReader(TagReader file, String words, Set<String> changed) {
        this.file = file;
        this.words = words;
        this.changed = changed;
        this.average = file.looked(this::average).orElse(null);
    }

    @Override
    public @Nullable Map<CountedGroup, AthleteCounts> of(String athlete) {
        if (changed.contains(athlete)) {
            return null;
        }
        List<HeadRows.Kept> kept = file.looked(c -> {
                    List<HeadRows.Kept> rows = new ArrayList<>();
                    try (PreparedStatement s = c.prepareStatement(
                            "SELECT kind, attire, ruleset, counts FROM athlete_count WHERE athlete = ? AND words = ?")) {
                        s.setString(1, athlete);
                        s.setString(2, words);
                        try (ResultSet r = s.executeQuery()) {
                            while (r.next()) {
                                rows.add(new HeadRows.Kept(
                                        HeadRows.group(r.getString(1), r.getString(2), r.getString(3)), r.getBytes(4)));
                            }
                        }
                    }
                    return Optional.of(rows);
                })
                .orElse(List.of());
        Map<CountedGroup, AthleteCounts> groups = HeadRows.read(kept);
        return groups.isEmpty() ? null : groups;
    }

    @Override
    public @Nullable KeptAverage average() {
        return average;
    }

    private Optional<Average> average(Connection c) throws SQLException {
        try (Statement s = c.createStatement()) {
            try (ResultSet r = s.executeQuery("SELECT 1 FROM sqlite_master WHERE name = 'average'")) {
                if (!r.next()) {
                    // an earlier version, which is only read
                    return Optional.empty();
                }
            }
            String born;
            int version;
            try (PreparedStatement whole =
                    c.prepareStatement("SELECT born, version FROM average WHERE complete = 1 AND words = ?")) {
                whole.setString(1, words);
                try (ResultSet r = whole.executeQuery()) {
                    if (!r.next()) {
                        return Optional.empty();
                    }
                    born = r.getString(1);
                    version = r.getInt(2);
                }
            }
            Set<String> behind = new HashSet<>(changed);
            try (ResultSet r = s.executeQuery("SELECT athlete FROM average_of WHERE stale = 1 UNION SELECT a FROM"
                    + " match_head WHERE a NOT IN (SELECT athlete FROM average_of) UNION SELECT b FROM match_head WHERE"
                    + " b NOT IN (SELECT athlete FROM average_of)")) {
                while (r.next()) {
                    behind.add(r.getString(1));
                }
            }
            return Optional.of(new Average(file, born, version, behind));
        }
    }

    /** The columns, since a moment. */
    private static final class Average implements KeptAverage {
        private final TagReader file;
        private final String born;
        private final int since;
        private final Set<String> behind;
        /** What was read of athletes last, which holds as long as the version and those asked for are the same. */
        private @Nullable Held held;

        private record Held(int version, Set<String> whose, Map<String, AthleteCounts> counts) {}

        Average(TagReader file, String born, int since, Set<String> behind) {
            this.file = file;
            this.born = born;
            this.since = since;
            this.behind = Set.copyOf(behind);
        }

        @Override
        public Set<String> behind() {
            return behind;
        }

        /**
         * A column and its athletes, of one moment.
         *
         * @param column its bytes; empty for a column of nothing
         */
        private record Raw(byte[] column, Held held) {}

        @Override
        public @Nullable Read read(ColumnKey key, Set<String> whose) {
            try {
                Raw raw = file.looked(c -> {
                            try (Statement s = c.createStatement()) {
                                s.execute("BEGIN");
                                try {
                                    return raw(c, key, whose);
                                } finally {
                                    s.execute("COMMIT");
                                }
                            }
                        })
                        .orElse(null);
                // put together outside the lock: several columns are read at a time
                return raw == null
                        ? null
                        : new Read(
                                raw.column().length == 0
                                        ? CountColumn.EMPTY
                                        : ColumnCodec.read(key.kind(), raw.column()),
                                raw.held().counts());
            } catch (IOException e) {
                return null;
            }
        }

        private Optional<Raw> raw(Connection c, ColumnKey key, Set<String> whose) throws SQLException {
            int version;
            try (PreparedStatement s =
                    c.prepareStatement("SELECT version FROM average WHERE complete = 1 AND born = ?")) {
                s.setString(1, born);
                try (ResultSet r = s.executeQuery()) {
                    if (!r.next()) {
                        return Optional.empty();
                    }
                    version = r.getInt(1);
                }
            }
            byte[] column = {};
            try (PreparedStatement s = c.prepareStatement("SELECT document FROM average_column WHERE name = ?")) {
                s.setString(1, key.name());
                try (ResultSet r = s.executeQuery()) {
                    column = r.next() ? r.getBytes(1) : column;
                }
            }
            Held now = held;
            if (now == null || now.version() != version || !now.whose().equals(whose)) {
                try {
                    now = new Held(version, Set.copyOf(whose), counts(c, whose));
                } catch (IOException e) {
                    return Optional.empty();
                }
                held = now;
            }
            return Optional.of(new Raw(column, now));
        }

        private Map<String, AthleteCounts> counts(Connection c, Set<String> whose) throws SQLException, IOException {
            Map<String, AthleteCounts> counts = new HashMap<>();
            try (PreparedStatement s = c.prepareStatement("SELECT athlete, counts FROM average_of WHERE version > ?")) {
                s.setInt(1, since);
                taken(s, counts);
            }
            try (PreparedStatement s = c.prepareStatement("SELECT athlete, counts FROM average_of WHERE athlete = ?")) {
                for (String who : whose) {
                    s.setString(1, who);
                    taken(s, counts);
                }
            }
            return counts;
        }

        private static void taken(PreparedStatement s, Map<String, AthleteCounts> counts)
                throws SQLException, IOException {
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    AthleteCounts read = AverageRows.read(r.getBytes(2));
                    if (read != null) {
                        counts.put(r.getString(1), read);
                    }
                }
            }
        }
    }
}
