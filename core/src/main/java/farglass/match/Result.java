package farglass.match;

import farglass.time.MatchTime;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How the match ended.
 *
 * @param winner null for a draw
 * @param technique the finish, or null
 * @param at when, or null
 * @param extra fields kept as read
 */
public record Result(
        @Nullable Corner winner,
        Method method,
        @Nullable String technique,
        @Nullable MatchTime at,
        Map<String, Object> extra) {
    public Result {
        extra = Collections.unmodifiableMap(new LinkedHashMap<>(extra));
    }

    /** A result without fields of others. */
    public Result(@Nullable Corner winner, Method method, @Nullable String technique, @Nullable MatchTime at) {
        this(winner, method, technique, at, Map.of());
    }
}
