package farglass.desk.claim;

import farglass.profile.Claim;
import farglass.stats.Trial;

/** What can be done with a claim on screen. */
public interface ClaimActions {
    /** Words for a dot. */
    String describe(Trial t);

    /** Plays a dot's clip. */
    void play(Trial t);

    /** Plays all its clips one after the other. */
    void playAll(Claim c);

    /** Pins it to the plan, or takes the pin out. */
    void pin(Claim c);

    /** Writes its moments as a film. */
    void reel(Claim c);

    /** Doubts it, words it anew, remarks on it. */
    void judge(Claim c);
}
