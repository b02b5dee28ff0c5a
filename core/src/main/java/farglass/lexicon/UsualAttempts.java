package farglass.lexicon;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What is usually tried where, from common knowledge of the sport: rough, set by hand, and no statistic. It gives the
 * first choices an order while a library is empty.
 */
public final class UsualAttempts {
    /** Weight within its family of a technique that is not named. */
    private static final double RARE = 0.15;
    /** Attempts a minute of a family that is not named for a place. */
    private static final double HARDLY = 0.02;

    private static final class BuiltIn {
        static final UsualAttempts INSTANCE = read();
    }

    /** By kind of place, role and family. */
    private final Map<String, Map<String, Map<String, Double>>> rates = new HashMap<>();

    private final Map<String, Double> common = new HashMap<>();

    private UsualAttempts(JsonNode document) {
        document.get("rates")
                .properties()
                .forEach(kind -> kind.getValue()
                        .properties()
                        .forEach(role -> role.getValue()
                                .properties()
                                .forEach(family -> rates.computeIfAbsent(kind.getKey(), k -> new HashMap<>())
                                        .computeIfAbsent(role.getKey(), k -> new HashMap<>())
                                        .put(family.getKey(), family.getValue().asDouble()))));
        document.get("common")
                .properties()
                .forEach(t -> common.put(t.getKey(), t.getValue().asDouble()));
    }

    /** What ships with the application. */
    public static UsualAttempts builtIn() {
        return BuiltIn.INSTANCE;
    }

    private static UsualAttempts read() {
        try (InputStream in = UsualAttempts.class.getResourceAsStream("usual.json")) {
            return new UsualAttempts(new ObjectMapper().readTree(Objects.requireNonNull(in)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Rough attempts a minute of every technique that one may try in a place.
     *
     * @param kind family of the place
     * @param role {@code guard}, {@code holder}, {@code under}, or {@code any} where nobody is ahead
     * @param possible what the place allows in that role
     */
    public Map<String, Double> rates(String kind, String role, List<Technique> possible) {
        Map<String, Double> families = rates.getOrDefault(kind, Map.of()).getOrDefault(role, Map.of());
        Map<String, Double> sums = new HashMap<>();
        possible.forEach(t -> sums.merge(t.family(), weight(t), Double::sum));
        Map<String, Double> found = new HashMap<>();
        for (Technique t : possible) {
            double family = families.getOrDefault(t.family(), HARDLY);
            found.put(t.code(), family * weight(t) / sums.getOrDefault(t.family(), 1.0));
        }
        return found;
    }

    private double weight(Technique t) {
        return common.getOrDefault(t.code(), RARE);
    }
}
