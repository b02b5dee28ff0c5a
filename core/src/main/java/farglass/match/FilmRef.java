package farglass.match;

import farglass.time.ClockMap;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A film of a match.
 *
 * @param file path, relative to the library's folder or absolute
 * @param sha256 digest of the file, or null
 * @param durationMs length, or null when unknown
 * @param mirrored whether the picture is mirrored; tags store true sides
 * @param map which film time shows which match time
 */
public record FilmRef(
        String file,
        @Nullable String sha256,
        @Nullable Long durationMs,
        boolean mirrored,
        ClockMap map,
        Map<String, Object> extra) {
    public FilmRef {
        extra = Collections.unmodifiableMap(new LinkedHashMap<>(extra));
    }

    /** A film of which only name, length and map are known. */
    public static FilmRef of(String file, @Nullable Long durationMs, ClockMap map) {
        return new FilmRef(file, null, durationMs, false, map, Map.of());
    }

    /** The same film lying elsewhere. */
    public FilmRef at(String path) {
        return new FilmRef(path, sha256, durationMs, mirrored, map, extra);
    }

    /** The same under another clock map. */
    public FilmRef with(ClockMap m) {
        return new FilmRef(file, sha256, durationMs, mirrored, m, extra);
    }
}
