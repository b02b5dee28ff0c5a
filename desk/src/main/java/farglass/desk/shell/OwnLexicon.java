package farglass.desk.shell;

import farglass.lexicon.Lexicon;
import farglass.lexicon.LexiconException;
import farglass.lexicon.OwnTerms;
import farglass.work.session.TeamWords;
import java.util.Optional;

/** The team's own terms, kept among the settings of the library with every version before. */
public final class OwnLexicon {
    private static final String CURRENT = TeamWords.TERMS;
    private static final String VERSIONS = "lexicon.versions";

    private final Settings settings;
    private final Lexicon inUse;
    private OwnTerms terms = OwnTerms.NONE;

    OwnLexicon(Settings settings, Notices notices) {
        this.settings = settings;
        Lexicon lexicon = Lexicon.builtIn();
        try {
            Optional<String> kept = settings.get(CURRENT);
            if (kept.isPresent()) {
                terms = OwnTerms.read(kept.get());
                lexicon = terms.in(lexicon);
            }
        } catch (LexiconException e) {
            notices.problem(Words.of("lexicon.damaged", e.getMessage()));
        }
        this.inUse = lexicon;
    }

    /** The lexicon that holds until the window is closed. */
    Lexicon inUse() {
        return inUse;
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
        return settings.get(VERSIONS).map(Integer::parseInt).orElse(0);
    }

    /**
     * Keeps changed terms; the version before stays.
     *
     * @throws LexiconException when they contradict the lexicon; nothing is kept then
     */
    public void keep(OwnTerms next) {
        next.in(Lexicon.builtIn());
        int version = versions();
        settings.set(CURRENT + "." + version, terms.write());
        settings.set(VERSIONS, Integer.toString(version + 1));
        settings.set(CURRENT, next.write());
        terms = next;
    }

    /** The version before comes back; false when there is none. */
    public boolean stepBack() {
        int version = versions();
        Optional<String> before = version == 0 ? Optional.empty() : settings.get(CURRENT + "." + (version - 1));
        before.ifPresent(text -> {
            terms = OwnTerms.read(text);
            settings.set(CURRENT, text);
            settings.set(VERSIONS, Integer.toString(version - 1));
        });
        return before.isPresent();
    }
}
