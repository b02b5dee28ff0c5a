package farglass.work.session;

import farglass.lexicon.Lexicon;
import farglass.lexicon.LexiconException;
import farglass.lexicon.OwnTerms;
import java.util.Optional;

/** The team's own terms, kept among the settings of the library with every version before. */
public final class TeamLexicon {
    private static final String CURRENT = TeamWords.TERMS;
    private static final String VERSIONS = "lexicon.versions";

    private final Preferences preferences;
    private OwnTerms terms;

    /** @param terms as they are kept */
    TeamLexicon(Preferences preferences, OwnTerms terms) {
        this.preferences = preferences;
        this.terms = terms;
    }

    /** The terms as they will hold from the next start on. */
    public OwnTerms terms() {
        return terms;
    }

    /** The lexicon as it will be from the next start on. */
    public Lexicon next() {
        return terms.in(Lexicon.builtIn());
    }

    /** How many versions there have been. */
    public int versions() {
        return preferences.get(VERSIONS).map(Integer::parseInt).orElse(0);
    }

    /**
     * Keeps changed terms; the version before stays.
     *
     * @throws LexiconException when they contradict the lexicon; nothing is kept then
     */
    public void keep(OwnTerms next) {
        next.in(Lexicon.builtIn());
        int version = versions();
        preferences.set(CURRENT + "." + version, terms.write());
        preferences.set(VERSIONS, Integer.toString(version + 1));
        preferences.set(CURRENT, next.write());
        terms = next;
    }

    /** The version before comes back; false when there is none. */
    public boolean stepBack() {
        int version = versions();
        Optional<String> before = version == 0 ? Optional.empty() : preferences.get(CURRENT + "." + (version - 1));
        before.ifPresent(text -> {
            terms = OwnTerms.read(text);
            preferences.set(CURRENT, text);
            preferences.set(VERSIONS, Integer.toString(version - 1));
        });
        return before.isPresent();
    }
}
