package farglass.draft;

/**
 * What a draft rests on.
 *
 * @param from which captions, notes or record: a file's name, or a match's id and its analyst
 * @param confidence that it is as the tag says, 0..1
 * @param text the words, or what was read; may be empty
 * @param saidMs film time at which it was said; below 0 for what was not spoken
 */
public record Basis(Source source, String from, double confidence, String text, long saidMs) {
    public Basis {
        if (!(confidence >= 0 && confidence <= 1)) {
            throw new IllegalArgumentException("confidence (" + confidence + ") must lie in 0..1");
        }
    }

    /** Whether both come out of the same captions, notes or record. */
    boolean sameOrigin(Basis other) {
        return source == other.source && from.equals(other.from);
    }
}
