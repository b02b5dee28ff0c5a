package farglass.lexicon;

/** The lexicon data contradicts itself; the message names the entry. */
public final class LexiconException extends RuntimeException {
    /** The message says which term is wrong and why. */
    public LexiconException(String message) {
        super(message);
    }
}
