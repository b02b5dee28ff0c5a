package farglass.lexicon;

/** The lexicon data contradicts itself; the message names the entry. */
public final class LexiconException extends RuntimeException {
    public LexiconException(String message) {
        super(message);
    }
}
