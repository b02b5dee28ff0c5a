package farglass.film.map;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import farglass.film.Box;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What the numbers of score graphics count, as a person has taken or corrected it: the next film of the same event has
 * its graphic in the same place. A file {@code layouts.json} with, for each graphic, its columns.
 */
public final class LayoutStore {
    private static final ObjectMapper JSON = new ObjectMapper();
    /** Graphics remembered, the newest. */
    private static final int MOST = 60;
    /** Share of a number's height by which it may stand elsewhere in the same graphic. */
    private static final double NEAR = 0.6;

    private static final String NONE = "none";

    private final Path file;

    /** @param folder in which what was read is kept */
    public LayoutStore(Path folder) {
        this.file = folder.resolve("layouts.json");
    }

    /** What was read, with the kinds that the same graphic had before; as it is when the graphic is new. */
    public ScoreTrack told(ScoreTrack read) {
        for (JsonNode layout : layouts()) {
            if (same(layout, read.graphic())) {
                List<@Nullable ScoreKind> kinds = new ArrayList<>();
                layout.forEach(c -> kinds.add(kind(c.path("counts").asText())));
                return new ScoreTrack(read.graphic(), kinds, read.changes());
            }
        }
        return read;
    }

    /**
     * Remembers a graphic; what was known of the same one before is forgotten.
     *
     * @throws IOException when it cannot be written; what was remembered before is as it was
     */
    public void keep(ScoreTrack taken) throws IOException {
        if (taken.kinds().isEmpty()) {
            return;
        }
        ArrayNode kept = JSON.createArrayNode();
        ArrayNode layout = kept.addArray();
        for (int c = 0; c < taken.kinds().size(); c++) {
            ScoreKind kind = taken.kinds().get(c);
            ObjectNode column = layout.addObject();
            column.put("counts", kind == null ? NONE : kind.name().toLowerCase(Locale.ROOT));
            for (int athlete = 0; athlete < 2; athlete++) {
                Box b = taken.graphic().columns().get(c).of(athlete);
                column.withArray("boxes")
                        .addArray()
                        .add(b.x())
                        .add(b.y())
                        .add(b.width())
                        .add(b.height());
            }
        }
        for (JsonNode before : layouts()) {
            if (kept.size() < MOST && !same(before, taken.graphic())) {
                kept.add(before);
            }
        }
        Files.createDirectories(file.getParent());
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            JSON.writeValue(part.toFile(), kept);
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** Empty when nothing was remembered yet, or what was is damaged. */
    private List<JsonNode> layouts() {
        List<JsonNode> layouts = new ArrayList<>();
        try {
            if (Files.exists(file)) {
                JSON.readTree(file.toFile()).forEach(layouts::add);
            }
        } catch (IOException e) {
            // a damaged file is written anew with the next graphic that is taken
            layouts.clear();
        }
        return layouts;
    }

    private static boolean same(JsonNode layout, ScoreGraphic graphic) {
        if (layout.size() != graphic.columns().size() || layout.isEmpty()) {
            return false;
        }
        for (int c = 0; c < layout.size(); c++) {
            for (int athlete = 0; athlete < 2; athlete++) {
                JsonNode b = layout.path(c).path("boxes").path(athlete);
                Box now = graphic.columns().get(c).of(athlete);
                double across = b.path(0).asInt() + b.path(2).asInt() / 2.0 - now.x() - now.width() / 2.0;
                double down = b.path(1).asInt() + b.path(3).asInt() / 2.0 - now.y() - now.height() / 2.0;
                if (!b.isArray() || Math.max(Math.abs(across), Math.abs(down)) > NEAR * now.height()) {
                    return false;
                }
            }
        }
        return true;
    }

    private static @Nullable ScoreKind kind(String word) {
        for (ScoreKind k : ScoreKind.values()) {
            if (k.name().equalsIgnoreCase(word)) {
                return k;
            }
        }
        return null;
    }
}
