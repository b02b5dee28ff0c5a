package farglass.desk.profile;

import farglass.scout.Sentence;

/** What can be done with a sentence of the report. */
interface ScoutingActions {
    /** Plays its moments one after the other. */
    void play(Sentence s);

    /** Pins the claim that carries it, or takes the pin out. */
    void pin(Sentence s);

    /** Words it anew. */
    void reword(ScoutingRow.Told row);

    /** Leaves it out, or takes it in again. */
    void leaveOut(ScoutingRow.Told row);

    /** One place up (-1) or down (1) within its part. */
    void move(ScoutingRow.Told row, int by);

    /** Opens the page of evidence that its claim stands on. */
    void evidence(Sentence s);
}
