package farglass.bench.team;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Consumer;

/**
 * Somebody who tags one match: adds, changes and takes away what is his own, so that the record stays as long as
 * records are. Knows what he has confirmed.
 */
final class TeamWriter {
    private static final int MATCH_MS = 480_000;

    private final String name;
    private final String match;
    private final int most;
    private final Random random;
    /** Technique, which is his tag's name, and the note that was confirmed last. */
    private final Map<String, String> standing = new TreeMap<>();

    private int number;
    private int edits;

    /**
     * @param most tags of his own that there are at a time
     * @param first number of his first edit
     */
    TeamWriter(String name, String match, int most, long seed, int first) {
        this.number = first;
        this.name = name;
        this.match = match;
        this.most = most;
        this.random = new Random(seed);
    }

    String match() {
        return match;
    }

    int edits() {
        return edits;
    }

    Map<String, String> standing() {
        return standing;
    }

    /** One edit; its note, by which others may know it, or empty for one that takes away. */
    String edit(Library library) throws LibraryException {
        return edit(library, said -> {});
    }

    /**
     * One edit.
     *
     * @param says hears that it is about to be made and that it is confirmed: a word, the tag's technique and its note,
     *     empty for one that is taken away, with tabs between
     */
    String edit(Library library, Consumer<String> says) throws LibraryException {
        MatchRecord r = library.match(match).orElseThrow();
        List<Integer> own = new ArrayList<>();
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a && a.technique().startsWith(name + "-")) {
                own.add(i);
            }
        }
        String note = name + " " + number++;
        int what = own.size() < most / 2 ? 0 : own.size() >= most ? 1 + random.nextInt(2) : random.nextInt(3);
        if (what == 0) {
            String technique = name + "-" + number;
            Tag.Action a = Tag.Action.of(MatchTime.ofMs(random.nextInt(MATCH_MS)), Corner.A, technique);
            Tag noted = a.with(new TagInfo(null, name, null, note, Map.of()));
            make(library, Edit.addAll(r, TagIds.name(r, List.of(noted))), technique, note, says);
            return note;
        }
        int i = own.get(random.nextInt(own.size()));
        Tag.Action a = (Tag.Action) r.tags().get(i);
        if (what == 1) {
            make(library, Edit.remove(r, i), a.technique(), "", says);
            return "";
        }
        TagInfo info = new TagInfo(a.info().id(), name, null, note, Map.of());
        Tag moved = a.at(MatchTime.ofMs(random.nextInt(MATCH_MS))).with(info);
        make(library, Edit.replace(r, i, moved), a.technique(), note, says);
        return note;
    }

    private void make(Library library, Edit edit, String technique, String note, Consumer<String> says)
            throws LibraryException {
        says.accept("about\t" + technique + "\t" + note);
        library.apply(match, edit);
        says.accept("done\t" + technique + "\t" + note);
        edits++;
        if (note.isEmpty()) {
            standing.remove(technique);
        } else {
            standing.put(technique, note);
        }
    }

    /** How many of his confirmed tags a record lacks, or has otherwise. */
    int lost(MatchRecord r) {
        Map<String, String> there = new TreeMap<>();
        int twice = 0;
        for (Tag t : r.tags()) {
            if (t instanceof Tag.Action a && a.technique().startsWith(name + "-")) {
                twice += there.put(a.technique(), String.valueOf(a.info().note())) == null ? 0 : 1;
            }
        }
        int lost = twice;
        for (Map.Entry<String, String> e : standing.entrySet()) {
            lost += e.getValue().equals(there.remove(e.getKey())) ? 0 : 1;
        }
        return lost + there.size();
    }
}
