package farglass.team;

import farglass.match.FilmRef;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Two changed lists of a match's films: film by film, told apart by checksum, else by name, else by place. */
final class FilmsMerge {
    private final List<FilmRef> before;
    private final List<FilmRef> mine;
    private final List<FilmRef> theirs;
    private final List<String> fields = new ArrayList<>();
    private final List<FilmRef> theirsFirst;
    private final List<FilmRef> mineFirst;

    private FilmsMerge(List<FilmRef> before, List<FilmRef> mine, List<FilmRef> theirs) {
        this.before = before;
        this.mine = mine;
        this.theirs = theirs;
        this.theirsFirst = new ArrayList<>(theirs);
        this.mineFirst = new ArrayList<>(theirs);
    }

    static FieldMerge<List<FilmRef>> of(List<FilmRef> before, List<FilmRef> mine, List<FilmRef> theirs) {
        FilmsMerge m = new FilmsMerge(before, mine, theirs);
        for (int i = 0; i < before.size(); i++) {
            m.known(i);
        }
        for (FilmRef f : mine) {
            if (same(before, mine, mine.indexOf(f)) < 0 && !m.theirsFirst.contains(f)) {
                m.theirsFirst.add(f);
                m.mineFirst.add(f);
            }
        }
        return new FieldMerge<>(List.copyOf(m.theirsFirst), List.copyOf(m.mineFirst), m.fields);
    }

    private void known(int i) {
        FilmRef was = before.get(i);
        int inMine = same(mine, before, i);
        int inTheirs = same(theirs, before, i);
        @Nullable FilmRef own = inMine < 0 ? null : mine.get(inMine);
        @Nullable FilmRef other = inTheirs < 0 ? null : theirs.get(inTheirs);
        if (was.equals(own)) {
            return;
        }
        if (other == null) {
            if (own != null) {
                fields.add(Clash.REMOVED);
                mineFirst.add(own);
            }
        } else if (own == null) {
            mineFirst.remove(other);
            if (other.equals(was)) {
                theirsFirst.remove(other);
            } else {
                fields.add(Clash.REMOVED);
            }
        } else {
            FieldMerge<FilmRef> both = FieldMerge.of(was, own, other);
            theirsFirst.set(theirsFirst.indexOf(other), both.theirs());
            mineFirst.set(mineFirst.indexOf(other), both.mine());
            fields.addAll(both.fields());
        }
    }

    /** Where the i-th film of a list is in another; -1 when it is not there. */
    private static int same(List<FilmRef> in, List<FilmRef> of, int i) {
        FilmRef film = of.get(i);
        for (int k = 0; k < in.size(); k++) {
            FilmRef f = in.get(k);
            if (f.file().equals(film.file())
                    || (f.sha256() != null && f.sha256().equals(film.sha256()))) {
                return k;
            }
        }
        // a film that nobody knew in its place: it was found elsewhere, and the place is all that is left of it
        boolean moved = i < in.size()
                && of.stream().noneMatch(o -> o.file().equals(in.get(i).file()));
        return moved ? i : -1;
    }
}
