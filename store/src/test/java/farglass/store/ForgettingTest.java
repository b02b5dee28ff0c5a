package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.plan.Assignment;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.stats.Grade;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ForgettingTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2031-05-01T09:00:00Z"), ZoneOffset.UTC);
    private static final Clock NEXT = Clock.fixed(Instant.parse("2031-05-02T09:00:00Z"), ZoneOffset.UTC);
    private static final String BRISA = "brisa-tolendt";
    private static final PinnedClaim CLAIM =
            new PinnedClaim(BRISA, "guard.LAS", "Tolendt plays lasso guard.", "7 of 20", 0.3, 0.2, 0.5, Grade.FAIR);

    @TempDir
    private Path folder;

    private int hers;
    private int all;

    @BeforeEach
    void fill() throws Exception {
        Files.createDirectories(folder.resolve("films"));
        Files.writeString(folder.resolve("films/own.mp4"), "film");
        Files.writeString(folder.resolve("films/shared.mp4"), "film");
        List<MatchRecord> made = new ArrayList<>();
        boolean[] used = new boolean[2];
        for (MatchRecord r : DemoLibrary.matches(Lexicon.builtIn(), 3)) {
            boolean mine = r.cornerOf(BRISA).isPresent();
            hers += mine ? 1 : 0;
            MatchRecord bare = r.withFilms(List.of());
            if (mine && !used[0]) {
                bare = bare.withFilms(List.of(
                        FilmRef.of("films/own.mp4", 1000L, ClockMap.EMPTY),
                        FilmRef.of("films/shared.mp4", 1000L, ClockMap.EMPTY)));
                used[0] = true;
            } else if (!mine && !used[1]) {
                bare = bare.withFilms(List.of(FilmRef.of("films/shared.mp4", 1000L, ClockMap.EMPTY)));
                used[1] = true;
            }
            made.add(bare);
        }
        all = made.size();
        try (Library l = Library.open(folder.resolve("my.farglass"), DAY)) {
            l.addAll(made);
            MatchRecord first = made.stream()
                    .filter(r -> r.cornerOf(BRISA).isPresent())
                    .findFirst()
                    .orElseThrow();
            l.apply(first.id(), Edit.remove(first, first.tags().size() - 1));
            l.setRemoved(first.id(), true);
            l.set("truth." + first.id(), "a match");
            l.set("drill.book.Ilse", "side:" + first.id() + "#1\tx\nside:other-match#2\ty\n");
            for (Assignment a : DemoLibrary.assignments()) {
                l.save(a.opponents().contains(BRISA) ? a.chance(BRISA, 0.4) : a);
            }
            l.save(Plan.empty("one", "Against Brisa", "ansa-kellivar", BRISA).open("pull"));
            Plan other = Plan.empty("two", "Against Juno", "ansa-kellivar", "juno-fastrel");
            l.save(other.pin(CLAIM)
                    .open("like against her")
                    .change("f1", f -> f.resting(CLAIM))
                    .save("old"));
        }
    }

    private boolean holds(String word) throws Exception {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path p : files.filter(Files::isRegularFile).toList()) {
                String text = Files.readString(p, StandardCharsets.ISO_8859_1);
                if (text.contains(word)) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void whatWillGoIsSaidFirstAndNothingIsChanged() throws Exception {
        try (Library l = Library.open(folder.resolve("my.farglass"), NEXT)) {
            Forgetting f = l.concerning(BRISA);
            assertThat(f.matches()).hasSize(hers);
            assertThat(f.plans()).containsExactly("one");
            assertThat(f.quoting()).containsExactly("two");
            assertThat(f.assignments()).isEmpty();
            assertThat(f.naming()).containsExactlyInAnyOrder("lantern-bay-2031", "saltmarsh-2030");
            assertThat(f.settings()).hasSize(2);
            assertThat(f.films()).containsExactly(folder.resolve("films/own.mp4"));
            assertThat(f.backups()).isNotEmpty();
            assertThat(f.nothing()).isFalse();
            assertThat(l.concerning("nobody").nothing()).isTrue();
            assertThat(l.matches()).hasSize(all - 1);
        }
        assertThat(holds(BRISA)).isTrue();
    }

    @Test
    void afterwardsNoFileHoldsTheAthlete() throws Exception {
        try (Library l = Library.open(folder.resolve("my.farglass"), NEXT)) {
            assertThat(l.forget(l.concerning(BRISA))).isEmpty();
            assertThat(l.concerning(BRISA).nothing()).isTrue();
            assertThat(l.setting("drill.book.Ilse")).contains("side:other-match#2\ty\n");
            assertThat(l.matches()).hasSize(all - hers);
            assertThat(l.plans()).extracting(Plan::id).containsExactly("two");
            Plan two = l.plans().get(0);
            assertThat(two.pinned()).isEmpty();
            assertThat(two.openings().get(0).claims()).isEmpty();
            assertThat(two.saved()).hasSize(1);
            for (Optional<Plan> p = l.stepPlan("two", -1); p.isPresent(); p = l.stepPlan("two", -1)) {
                assertThat(p.get().pinned()).as("no earlier version quotes her").isEmpty();
            }
            assertThat(l.assignments()).hasSize(3).noneMatch(a -> a.opponents().contains(BRISA));
            assertThat(l.assignments()).allMatch(a -> !a.chances().containsKey(BRISA));
        }
        assertThat(holds(BRISA)).isFalse();
        assertThat(holds("Tolendt")).isFalse();
        assertThat(folder.resolve("films/own.mp4")).doesNotExist();
        assertThat(folder.resolve("films/shared.mp4"))
                .as("another match uses it")
                .exists();
    }

    @Test
    void ownAssignmentsGoWithTheirAthlete() throws Exception {
        try (Library l = Library.open(folder.resolve("my.farglass"), NEXT)) {
            Forgetting f = l.concerning("ansa-kellivar");
            assertThat(f.assignments()).hasSize(3);
            assertThat(f.plans()).containsExactly("one", "two");
            l.forget(f);
            assertThat(l.assignments()).isEmpty();
            assertThat(l.plans()).isEmpty();
        }
        assertThat(holds("Kellivar")).isFalse();
    }

    /** A match in which she was entered by mistake, then corrected, with remarks that name her. */
    private MatchRecord mistaken(Library l) throws Exception {
        MatchRecord other = l.matches().stream()
                .filter(r -> r.cornerOf(BRISA).isEmpty())
                .findFirst()
                .orElseThrow();
        MatchRecord.Details right = other.details();
        MatchRecord.Details wrong = new MatchRecord.Details(
                right.date(),
                right.event(),
                right.round(),
                right.division(),
                right.attire(),
                right.ruleset(),
                right.lengthMs(),
                MatchAthlete.of(BRISA, "Brisa Tolendt-Oake", "green patch", null),
                right.b(),
                right.result());
        l.apply(other.id(), new Edit.SetDetails(right, wrong));
        MatchRecord now = l.apply(other.id(), new Edit.SetDetails(wrong, right));
        l.apply(other.id(), Edit.add(now, remark("as BRISA\nTolendt does, and TOLENDT again; no Tolendts here")));
        return other;
    }

    private static Tag remark(String text) {
        return new Tag.Remark(
                MatchTime.ofMs(1500), RemarkKind.ERROR, Corner.A, "seen", text, Map.of(), null, Map.of(), TagInfo.NONE);
    }

    @Test
    void tracesInOtherMatchesGoAndTheirHistoriesStillUndo() throws Exception {
        try (Library l = Library.open(folder.resolve("my.farglass"), NEXT)) {
            MatchRecord other = mistaken(l);
            Forgetting f = l.concerning(BRISA);
            assertThat(f.traces()).containsExactly(other.id());
            l.forget(f);
            Tag.Remark kept = (Tag.Remark) l.match(other.id()).orElseThrow().tags().stream()
                    .filter(t -> t instanceof Tag.Remark r && r.text().contains("here"))
                    .findFirst()
                    .orElseThrow();
            assertThat(kept.text()).isEqualTo("as [forgotten] does, and [forgotten] again; no Tolendts here");
            assertThat(l.undo(other.id())).contains(other);
            assertThat(l.undo(other.id()).orElseThrow().details().a().name()).isEqualTo("forgotten");
            assertThat(l.undo(other.id())).contains(other);
            assertThat(l.redo(other.id())).isPresent();
            assertThat(l.concerning(BRISA).nothing()).isTrue();
        }
        assertThat(holds(BRISA)).isFalse();
        assertThat(holds("Tolendt ")).isFalse();
        assertThat(holds("Oake")).isFalse();
    }

    @Test
    void aForgettingThatWasCutShortIsFinishedAtTheNextOpening() throws Exception {
        Path file = folder.resolve("my.farglass");
        Path picture = file("reels/hers.mp4", "picture");
        try (Library l = Library.open(file, NEXT)) {
            l.set("forgetting", picture.toString());
        }
        assertThat(picture).exists();
        assertThat(folder.resolve("backups")).isNotEmptyDirectory();
        try (Library l = Library.open(file, NEXT)) {
            assertThat(l.setting("forgetting")).isEmpty();
            assertThat(l.matches()).hasSize(all - 1);
        }
        assertThat(picture).doesNotExist();
        assertThat(folder.resolve("backups")).isEmptyDirectory();
    }

    @Test
    void anEarlierVersionOfAPlanForgetsToo() throws Exception {
        try (Library l = Library.open(folder.resolve("my.farglass"), NEXT)) {
            Plan quiet = Plan.empty("three", "Against Odile", "ansa-kellivar", "odile-marrowen");
            l.save(quiet.remarks("not like Brisa Tolendt"));
            l.save(quiet.remarks("patient"));
            Forgetting f = l.concerning(BRISA);
            assertThat(f.quoting()).contains("three");
            l.forget(f);
            assertThat(l.stepPlan("three", -1).orElseThrow().remarks()).isEqualTo("not like [forgotten]");
        }
        assertThat(holds("Tolendt")).isFalse();
    }

    @Test
    void picturesAndExportsOfHersGoAndThoseOfOthersStay() throws Exception {
        try (Library l = Library.open(folder.resolve("my.farglass"), NEXT)) {
            String match = l.concerning(BRISA).matches().get(0);
            Path talk = file("talks/x-1.json", "{\"match\": \"" + match + "\"}");
            Path voice = file("talks/x-1.wav", "voice");
            Path otherTalk = file("talks/y-1.json", "{\"match\": \"somebody\"}");
            Path copies = file("proxies/aa/0.mp4", "picture").getParent();
            Files.writeString(
                    copies.resolve(Forgetting.FILM_NOTE),
                    folder.resolve("films/own.mp4").toString());
            Path otherCopies = file("proxies/bb/0.mp4", "picture").getParent();
            Files.writeString(
                    otherCopies.resolve(Forgetting.FILM_NOTE),
                    folder.resolve("films/shared.mp4").toString());
            Path unknown = file("reels/old.mp4", "who knows whom");
            Path others = file("reels/others.mp4", "others");
            l.exported(others, Set.of("juno-fastrel"));
            Path dossier = file("elsewhere/dossier.pdf", "hers");
            l.exported(dossier, Set.of(BRISA, "juno-fastrel"));
            Path table = file("elsewhere/all.csv", "everybody");
            l.exported(table, Set.of());
            Path changed = file("elsewhere/changed.csv", "hers");
            l.exported(changed, Set.of(BRISA));
            Files.writeString(changed, "somebody's own by now");
            Forgetting f = l.concerning(BRISA);
            assertThat(f.exported()).containsExactlyInAnyOrder(dossier, table);
            assertThat(l.forget(f)).containsExactly(changed);
            assertThat(List.of(talk, voice, copies, unknown, dossier, table)).noneMatch(Files::exists);
            assertThat(List.of(otherTalk, otherCopies, others, changed)).allMatch(Files::exists);
            assertThat(l.concerning(BRISA).changed()).as("no longer listed").isEmpty();
        }
    }

    private Path file(String name, String text) throws Exception {
        Path p = folder.toRealPath().resolve(name);
        Files.createDirectories(p.getParent());
        return Files.writeString(p, text);
    }
}
