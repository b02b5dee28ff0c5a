package farglass.store;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** What was set, as rows. */
final class SettingRows {
    private final Handle handle;

    SettingRows(Handle handle) {
        this.handle = handle;
    }

    Optional<String> setting(String name) {
        return handle.createQuery("SELECT text FROM setting WHERE name = :name")
                .bind("name", name)
                .mapTo(String.class)
                .findOne();
    }

    /** By name, in the order of names. */
    Map<String, String> all() {
        Map<String, String> all = new LinkedHashMap<>();
        handle.createQuery("SELECT name, text FROM setting ORDER BY name")
                .map((row, context) -> Map.entry(row.getString(1), row.getString(2)))
                .forEach(e -> all.put(e.getKey(), e.getValue()));
        return all;
    }

    void put(String name, String text) {
        remove(name);
        handle.execute("INSERT INTO setting (name, text) VALUES (?, ?)", name, text);
    }

    void remove(String name) {
        handle.execute("DELETE FROM setting WHERE name = ?", name);
    }
}
