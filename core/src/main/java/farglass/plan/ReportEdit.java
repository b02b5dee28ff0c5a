package farglass.plan;

/**
 * What the analyst made of one sentence of a report.
 *
 * @param athlete id of the athlete it is about
 * @param sentence id of the sentence
 * @param wording own words for it, or empty
 * @param said the computed sentence that the wording took the place of, so that a change of its numbers is seen; empty
 * without a wording
 * @param leftOut whether it is left out of the report
 */
public record ReportEdit(String athlete, String sentence, String wording, String said, boolean leftOut) {
    /** Nothing made of it yet. */
    public static ReportEdit none(String athlete, String sentence) {
        return new ReportEdit(athlete, sentence, "", "", false);
    }

    /** The same in the analyst's own words for what is computed now; empty words take the computed ones again. */
    public ReportEdit wording(String text, String computed) {
        String words = text.strip();
        boolean own = !words.isEmpty() && !words.equals(computed);
        return new ReportEdit(athlete, sentence, own ? words : "", own ? computed : "", leftOut);
    }

    /** The same left out, or taken in again. */
    public ReportEdit leftOut(boolean out) {
        return new ReportEdit(athlete, sentence, wording, said, out);
    }

    /** Whether what is computed is no longer what the wording took the place of. */
    public boolean stale(String computed) {
        return !wording.isEmpty() && !said.equals(computed);
    }

    boolean empty() {
        return wording.isEmpty() && !leftOut;
    }

    boolean about(String who, String id) {
        return athlete.equals(who) && sentence.equals(id);
    }
}
