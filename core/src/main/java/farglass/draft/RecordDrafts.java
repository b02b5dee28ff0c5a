package farglass.draft;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagChanges;
import farglass.match.TagInfo;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Drafts out of another record of the same match: another analyst's, or one made over another film. */
public final class RecordDrafts {
    private static final double SURE = 0.9;
    /** His own doubts are kept. */
    private static final double DOUBTED = 0.6;

    private RecordDrafts() {}

    /**
     * The other records of a match: the same two athletes on the same day, in the same event and round as far as both
     * say.
     */
    public static List<MatchRecord> others(MatchRecord record, List<MatchRecord> all) {
        return all.stream()
                .filter(o -> !o.id().equals(record.id()) && same(record, o) && !o.waiting())
                .toList();
    }

    private static boolean same(MatchRecord r, MatchRecord o) {
        boolean athletes = o.cornerOf(r.details().a().id()).isPresent()
                && o.cornerOf(r.details().b().id()).isPresent();
        boolean told = r.details().date() != null || r.details().event() != null;
        return athletes
                && told
                && r.kind() == o.kind()
                && Objects.equals(r.details().date(), o.details().date())
                && agree(r.details().event(), o.details().event())
                && agree(r.details().round(), o.details().round());
    }

    private static boolean agree(@Nullable Object x, @Nullable Object y) {
        return x == null || y == null || Objects.equals(x, y);
    }

    /**
     * The tags of another record by match time, corners as this record has them.
     *
     * @param source {@link Source#ANALYST} or {@link Source#REPEAT}
     * @param from who made the other, or its id
     */
    public static List<Draft> of(MatchRecord other, MatchRecord record, Source source, String from) {
        boolean turned = other.cornerOf(record.details().a().id()).orElse(Corner.A) == Corner.B;
        List<Draft> drafts = new ArrayList<>();
        for (Tag tag : other.tags()) {
            double sure = tag.info().unsure() ? DOUBTED : SURE;
            Tag here = (turned ? TagChanges.swapped(tag) : tag)
                    .with(new TagInfo(
                            null,
                            tag.info().tagger(),
                            null,
                            tag.info().note(),
                            tag.info().extra()));
            drafts.add(Draft.of(here, null, -1, new Basis(source, from, sure, "", -1)));
        }
        return List.copyOf(drafts);
    }
}
