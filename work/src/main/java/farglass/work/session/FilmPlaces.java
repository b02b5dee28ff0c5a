package farglass.work.session;

import farglass.match.FilmRef;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;

/**
 * Where films lie on this machine: as the record says, unless this machine has it elsewhere. A team shares its records
 * and not its folders: a film that was found here by its checksum is noted here, and the record stays as it is for the
 * others.
 *
 * @param folder that film files of records are relative to
 * @param places of films that lie elsewhere, by SHA-256
 */
public record FilmPlaces(Path folder, Map<String, String> places) {
    private static final String PLACE = "film.place ";

    public FilmPlaces {
        places = Map.copyOf(places);
    }

    /** @param settings of the library */
    public static FilmPlaces of(Path folder, Map<String, String> settings) {
        Map<String, String> places = new HashMap<>();
        settings.forEach((name, path) -> {
            if (name.startsWith(PLACE) && !path.isBlank()) {
                places.put(name.substring(PLACE.length()), path);
            }
        });
        return new FilmPlaces(folder, places);
    }

    /** The setting that notes where a film of this checksum lies. */
    public static String setting(String sha256) {
        return PLACE + sha256;
    }

    /** Where a film lies, whether or not it is there. */
    public Path of(FilmRef film) {
        String place = film.sha256() == null ? null : places.get(film.sha256());
        return folder.resolve(place == null ? film.file() : place);
    }
}
