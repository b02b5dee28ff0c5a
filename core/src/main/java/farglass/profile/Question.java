package farglass.profile;

/** The pages of a profile, each reached by the question it answers. */
public enum Question {
    GUARDS,
    PASSING,
    TAKEDOWNS,
    FINISHES,
    REACTIONS,
    CHAINS,
    WHEN,
    ERRORS,
    THEN_AND_NOW,
    NOT_SEEN,
    MATTERS,
    PATIENCE,
    SAYS;

    /** Key of its name and question in the bundle. */
    public String key() {
        return "page." + name();
    }
}
