package farglass.matchup.model;

/** How a match ends, as our athlete sees it. */
public enum Ending {
    DRAW("draw", 0.5),
    WON_BY_POINTS("us:points", 1),
    WON_BY_ADVANTAGES("us:advantages", 1),
    WON_BY_PENALTIES("us:penalties", 1),
    WON_BY_SUBMISSION("us:submission", 1),
    WON_BY_DISQUALIFICATION("us:disqualified", 1),
    /** By points, advantages or penalties, where they are not told apart. */
    WON_ON_SCORE("us:score", 1),
    LOST_BY_POINTS("them:points", 0),
    LOST_BY_ADVANTAGES("them:advantages", 0),
    LOST_BY_PENALTIES("them:penalties", 0),
    LOST_BY_SUBMISSION("them:submission", 0),
    LOST_BY_DISQUALIFICATION("them:disqualified", 0),
    LOST_ON_SCORE("them:score", 0);

    private final String code;
    private final double value;

    Ending(String code, double value) {
        this.code = code;
        this.value = value;
    }

    /** As written in files. */
    public String code() {
        return code;
    }

    /** What it counts: 1 won, 0 lost; a draw counts one half. */
    public double value() {
        return value;
    }
}
