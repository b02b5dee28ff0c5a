package farglass.desk.start;

/** What a newcomer does once, in the order of the work. */
enum Step {
    ASSIGNMENT("steps.assignment", "steps.assignment.how"),
    FILM("steps.film", "steps.film.how"),
    CLOCK("steps.clock", "steps.clock.how"),
    TAG("steps.tag", "steps.tag.how"),
    REPORT("steps.report", "steps.report.how"),
    PIN("steps.pin", "steps.pin.how"),
    FORK("steps.fork", "steps.fork.how"),
    ROUND("steps.round", "steps.round.how");

    private final String words;
    private final String how;

    Step(String words, String how) {
        this.words = words;
        this.how = how;
    }

    /** Key of what it is called. */
    String words() {
        return words;
    }

    /** Key of where and how it is done. */
    String how() {
        return how;
    }
}
