package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIOException;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import farglass.match.Corner;
import farglass.time.FilmTime;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MapDocumentTest {
    private static final Box BOX = new Box(5, 6, 70, 20);
    private static final Box RIVAL = new Box(400, 300, 70, 20);

    private static MapProposal proposal() {
        ScoreGraphic graphic = new ScoreGraphic(
                List.of(
                        new ScoreGraphic.Name("KELLIVAR", new Box(1, 2, 80, 20), 0.9),
                        new ScoreGraphic.Name("TOLENDT", new Box(1, 32, 70, 20), 1)),
                List.of(
                        new ScoreGraphic.Column(new Box(90, 2, 20, 20), new Box(90, 32, 20, 20), null),
                        new ScoreGraphic.Column(new Box(120, 2, 20, 20), new Box(120, 32, 20, 20), null)));
        ScoreTrack score = new ScoreTrack(
                graphic,
                Arrays.asList(ScoreKind.POINTS, null),
                List.of(
                        new ScoreChange(3500, 4000, 1, 0, 0, 2, 0.95),
                        new ScoreChange(9000, 9500, 0, 1, 0, 5, 0.5),
                        new ScoreChange(6000, 21_000, 1, 0, 2, 5, 0.9)));
        return new MapProposal(
                List.of(
                        new MapProposal.Part(Segment.blank(0, 1000, Segment.Kind.OTHER), 1),
                        new MapProposal.Part(Segment.live(1000, 10_000, 0), 0.97),
                        new MapProposal.Part(Segment.replay(10_000, 20_000, 3000, 0.5), 0.8),
                        new MapProposal.Part(Segment.live(20_000, 30_000, 12_000), 0.9)),
                List.of(FilmTime.ofMs(10_000), FilmTime.ofMs(20_000)),
                List.of(new ClockReading(1000, 300, 0.99), new ClockReading(10_000, null, 1)),
                true,
                BOX,
                RIVAL,
                score);
    }

    @Test
    void whatIsWrittenIsReadAgain() throws Exception {
        MapProposal found = proposal();
        MapProposal again = MapDocument.read(MapDocument.write(found).toString());
        assertThat(again.segments()).isEqualTo(found.segments());
        assertThat(again.shots()).isEqualTo(found.shots());
        assertThat(again.readings()).isEqualTo(found.readings());
        assertThat(again.box()).isEqualTo(BOX);
        assertThat(again.rival()).isEqualTo(RIVAL);
        assertThat(again.down()).isTrue();
        assertThat(again.score().changes()).isEqualTo(found.score().changes());
        assertThat(again.score().kinds()).isEqualTo(found.score().kinds());
        assertThat(again.score().graphic()).isEqualTo(found.score().graphic());
    }

    @Test
    void eachChangeTellsTheScoreOfItsAthleteAfterIt() {
        JsonNode doc = MapDocument.write(proposal());
        JsonNode first = doc.path("score").get(0);
        assertThat(first.path("ms").asLong()).isEqualTo(4000);
        assertThat(first.path("matchMs").asLong()).isEqualTo(3000);
        assertThat(first.path("who").asText()).isEqualTo("B");
        assertThat(first.path("points").asInt()).isEqualTo(2);
        assertThat(first.has("advantages")).isFalse();
        assertThat(doc.path("score"))
                .as("a number that counts nothing known is no score")
                .hasSize(2);
        assertThat(doc.path("otherNumbers")).hasSize(1);
        JsonNode hidden = doc.path("score").get(1);
        assertThat(hidden.path("fromMs").asLong()).isEqualTo(6000);
        assertThat(hidden.path("matchMs").asLong()).isEqualTo(13_000);
        assertThat(hidden.path("points").asInt()).isEqualTo(5);
        assertThat(doc.path("names").get(1).asText()).isEqualTo("TOLENDT");
        assertThat(doc.path("regions")).hasSize(8);
    }

    @Test
    void aColumnMayBeTakenForSomethingElse() {
        ScoreTrack corrected = proposal().score().with(1, ScoreKind.POINTS);
        assertThat(corrected.kinds()).containsExactly(null, ScoreKind.POINTS);
        assertThat(corrected.scored()).extracting(ScoreChange::after).containsExactly(5);
        assertThat(corrected.at(ScoreKind.POINTS, 0, 9500)).isEqualTo(5);
        assertThat(corrected.at(ScoreKind.POINTS, 0, 9499)).isZero();
    }

    @Test
    void aDamagedDocumentIsRefused() {
        for (String text : List.of("", "{", "[]x", "{\"segments\": [{\"kind\": \"never\"}]}")) {
            assertThatExceptionOfType(FilmException.class)
                    .as(text)
                    .isThrownBy(() -> MapDocument.read(text))
                    .withMessageContaining("read again");
        }
    }

    private static ReadingStore.Reading read(@Nullable Corner first) {
        return new ReadingStore.Reading(proposal(), first);
    }

    @Test
    void aFilmIsReadOnceUntilItChanges(@TempDir Path folder) throws Exception {
        Path film = Files.writeString(folder.resolve("film.mp4"), "film");
        Path blocked = Files.writeString(folder.resolve("blocked"), "no folder");
        assertThatIOException()
                .isThrownBy(() -> new ReadingStore(blocked.resolve("readings")).keep(film, 300_000, read(null)));
        ReadingStore store = new ReadingStore(folder.resolve("readings"));
        assertThat(store.of(film, 300_000)).isEmpty();
        store.keep(film, 300_000, read(null));
        assertThat(store.of(film, 300_000).orElseThrow().found().box()).isEqualTo(BOX);
        assertThat(store.of(film, 300_000).orElseThrow().first()).isNull();
        store.keep(film, 300_000, read(Corner.B));
        assertThat(store.of(film, 300_000).orElseThrow().first()).isEqualTo(Corner.B);
        assertThat(store.of(film, 360_000)).as("another length").isEmpty();
        Files.writeString(film, "another film");
        assertThat(store.of(film, 300_000)).isEmpty();
        store.keep(film, 300_000, read(null));
        try (var kept = Files.list(folder.resolve("readings"))) {
            for (Path p : kept.toList()) {
                assertThat(p.toString()).endsWith(".json");
                Files.writeString(p, "{damaged");
            }
        }
        assertThat(store.of(film, 300_000))
                .as("a damaged reading is read again")
                .isEmpty();
    }
}
