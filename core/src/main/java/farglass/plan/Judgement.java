package farglass.plan;

/**
 * What an analyst thinks of a claim; the numbers stay as they are.
 *
 * @param athlete id of the athlete it is about
 * @param claim id of the claim
 * @param wording own words for its sentence, or empty
 * @param doubt why it is doubted, or empty when it is not
 * @param remark free text, or empty
 */
public record Judgement(String athlete, String claim, String wording, String doubt, String remark) {
    /** No judgement yet. */
    public static Judgement none(String athlete, String claim) {
        return new Judgement(athlete, claim, "", "", "");
    }

    /** The same with the analyst's own words for the claim; empty for none. */
    public Judgement wording(String text) {
        return new Judgement(athlete, claim, text.strip(), doubt, remark);
    }

    /** The same with why it is doubted; empty for not at all. */
    public Judgement doubt(String reason) {
        return new Judgement(athlete, claim, wording, reason.strip(), remark);
    }

    /** The same with a remark; empty for none. */
    public Judgement remark(String text) {
        return new Judgement(athlete, claim, wording, doubt, text.strip());
    }

    boolean empty() {
        return wording.isEmpty() && doubt.isEmpty() && remark.isEmpty();
    }

    boolean about(String who, String id) {
        return athlete.equals(who) && claim.equals(id);
    }
}
