package farglass.narration;

import farglass.match.Corner;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Who does what a sentence says: by name, by what is worn, by "he" or "she" of whoever was spoken of last; where a
 * coach speaks to an athlete, "you" is that one and "she" the other.
 */
final class Subjects {
    private static final Set<String> PRONOUNS =
            Set.of("he", "she", "hes", "shes", "they", "theyre", "himself", "herself");
    private static final Set<String> HE = Set.of("he", "hes");
    private static final Set<String> SHE = Set.of("she", "shes");
    private static final Set<String> THEIRS = Set.of("her", "his", "your", "my");
    /** So soon after a name a pronoun is that one's. */
    private static final int NEAR = 14;

    /** Behind "her" where she is the one it is done to. */
    private static final Set<String> DONE_TO = Set.of(
            "down", "up", "over", "into", "to", "with", "on", "in", "onto", "from", "and", "but", "off", "out",
            "through", "away", "again", "across", "forward", "for", "by", "there", "here", "now");
    /** So many words behind a name "her" is the one it is done to. */
    private static final int OBJECT_NEAR = 4;

    private static final int SURE_VOTES = 2;
    /** Behind a name in notes. */
    private static final Set<String> NOTED = Set.of("left", "right", "l", "r");
    /** Before a name that is no subject. */
    private static final Set<String> OBJECTS = Set.of(
            "on",
            "against",
            "with",
            "to",
            "of",
            "past",
            "under",
            "over",
            "around",
            "at",
            "for",
            "into",
            "behind",
            "lets",
            "let",
            "give",
            "gives",
            "puts",
            "put",
            "makes",
            "forces",
            "keeps",
            "takes",
            "take",
            "bringing",
            "pulls",
            "drags",
            "turns",
            "threatens",
            "catches",
            "sweeps",
            "passes",
            "taps",
            "chokes",
            "submits",
            "beats",
            "than",
            "sees",
            "chasing",
            "controls",
            "mounts",
            "hits",
            "hit",
            "caught",
            "surprises",
            "attacks",
            "beat",
            "submitted",
            "swept",
            "threw",
            "throws");

    /** Behind "from" where it is nobody: "single leg from there". */
    private static final Set<String> NOBODY = Set.of("there", "here", "it", "that", "this", "behind");

    /** Before a name whose doing it is. */
    private static final Set<String> AUTHORS = Set.of("by", "from", "for");

    /** Before the name of whose a place is: "in the half guard of Brisa". */
    private static final Set<String> OWNERS = Set.of("by", "from", "for", "of");

    private static final Set<String> OTHERS = Set.of("opponent", "opponents");
    /** So many words behind an action are "from" and "for" and, of "out of nowhere by Juno", "by". */
    private static final int BY = 3;

    private static final int BY_FAR = 7;
    /** What an athlete does about something of the other's. */
    private static final Set<String> ATTACKS =
            Set.of("takedown", "sweep", "reversal", "pass", "pin-advance", "back-take", "submission", "guard-pull");
    /** How far before an action it is answered: "blocks the knee cut". */
    private static final int ANSWERED = 6;
    /** How far before an action "Brisa's" makes it hers. */
    private static final int OWNED = 4;

    private final List<Word> words;
    private final People people;
    private final SpeechWords patterns;
    private final @Nullable Corner you;
    /** Who tells it of himself. */
    private final @Nullable Corner self;
    /** Who "he" and "she" are, where one of the two is each; null where that is not clear. */
    private final @Nullable Corner he;

    private @Nullable Corner last;

    Subjects(List<Word> words, People people, SpeechWords patterns) {
        this.words = words;
        this.people = people;
        this.patterns = patterns;
        Speaker speaker = new Speaker(words, people, patterns);
        this.self = speaker.self();
        this.you = speaker.addressed();
        this.he = he();
    }

    /**
     * Who acts.
     *
     * @param named by name or colour in the same sentence
     * @param firm whether nothing else can be meant: named, or "he" and "she" where each is one of the two
     */
    record Subject(@Nullable Corner who, boolean named, boolean firm) {
        /** The same where whoever plays guard, or is on top, says whose it is; what is firm stays. */
        Subject or(@Nullable Corner role) {
            return firm || role == null ? this : new Subject(role, named, true);
        }
    }

    /** Whether "her" or "him" is whoever it is done to by the one who was named just before. */
    private boolean doneTo(int i) {
        String w = words.get(i).bare();
        return w.equals("him")
                || (w.equals("her")
                        && (words.get(i).pause() != Word.Pause.NONE
                                || i + 1 >= words.size()
                                || DONE_TO.contains(words.get(i + 1).bare())));
    }

    /** Who is "he" when the other is "she": whoever is named before either more often. */
    private @Nullable Corner he() {
        int[] votes = new int[2];
        int[] said = new int[2];
        Corner named = null;
        int since = 0;
        boolean victim = false;
        for (int i = 0; i < words.size(); i++) {
            People.Named n = people.at(words, i);
            String w = words.get(i).bare();
            int which = HE.contains(w) ? 0 : SHE.contains(w) ? 1 : -1;
            if (n != null && !n.owned()) {
                named = object(i, 0) ? named : n.who();
                since = 0;
                victim = false;
            } else if (named != null && since <= OBJECT_NEAR && doneTo(i)) {
                // "Teo snaps her down": she is not Teo
                said[w.equals("him") ? 0 : 1]++;
                boolean a = (named == Corner.B) == w.equals("him");
                votes[a ? 0 : 1] += SURE_VOTES;
                victim = true;
            } else if (which >= 0) {
                said[which]++;
                if (named != null && since < NEAR && !(since > OBJECT_NEAR && victim)) {
                    boolean a = (named == Corner.A) == (which == 0);
                    votes[a ? 0 : 1]++;
                }
            }
            since++;
        }
        boolean both = said[0] >= 2 && said[1] >= 2;
        return !both || votes[0] == votes[1] ? null : votes[0] > votes[1] ? Corner.A : Corner.B;
    }

    /** Whether somebody is spoken to. */
    boolean spokenTo() {
        return you != null;
    }

    /** Takes note of whoever a stretch speaks of, for what follows. */
    void heard(int from, int to) {
        for (int i = from; i < to; i++) {
            People.Named n = people.at(words, i);
            if (n != null) {
                if (!n.owned() && !object(i, from)) {
                    last = n.who();
                }
                i += n.words() - 1;
            } else if ((you != null || self != null) && !object(i, from) && pronoun(i) != null) {
                last = pronoun(i);
            }
        }
    }

    private boolean object(int i, int from) {
        return i > from
                && words.get(i - 1).pause() == Word.Pause.NONE
                && OBJECTS.contains(words.get(i - 1).bare());
    }

    private @Nullable Corner pronoun(int i) {
        String w = words.get(i).bare();
        if (self != null) {
            return Speaker.OWN.contains(w) ? self : PRONOUNS.contains(w) ? self.other() : null;
        }
        if (he != null && (HE.contains(w) || SHE.contains(w))) {
            return HE.contains(w) ? he : he.other();
        }
        if (PRONOUNS.contains(w)) {
            return you == null ? last : you.other();
        }
        return Speaker.ADDRESSED.contains(w) && !w.equals("your") ? you : null;
    }

    /**
     * Who does what is said from one word to another.
     *
     * @param begin of the sentence
     * @param from, to first and last word of the action
     * @param end of the clause
     * @param family of the action
     */
    Subject of(int begin, int from, int to, int end, String family, Clauses clauses) {
        Corner author = behind(to, end, family.isEmpty() ? OWNERS : AUTHORS);
        if (author != null) {
            return new Subject(author, true, true);
        }
        int at = -1;
        boolean named = false;
        boolean firm = false;
        Corner subject = null;
        Corner owner = null;
        for (int i = from - 1; i >= begin && subject == null; i--) {
            People.Named n = endsAt(i, begin);
            if (n != null) {
                int start = i - n.words() + 1;
                if (n.owned()) {
                    owner = from - i <= OWNED && owner == null ? n.who() : owner;
                } else if (!object(start, begin)) {
                    subject = n.who();
                    named = true;
                    firm = true;
                }
                i = start;
            } else if (object(i, begin) && pronoun(i) != null) {
                at = i;
            } else if (THEIRS.contains(words.get(i).bare()) && from - i <= 2 && whose(i) != null) {
                owner = owner == null ? whose(i) : owner;
            } else if (PRONOUNS.contains(words.get(i).bare()) && you == null && he == null && self == null) {
                // whoever the sentence named before it, else whoever was spoken of last
                Corner before = nameBefore(i, begin);
                subject = before == null ? last : before;
                firm = before != null;
            } else if (pronoun(i) != null) {
                subject = pronoun(i);
                firm = true;
            } else if (OTHERS.contains(words.get(i).bare()) && !object(i, begin)) {
                Corner of = you == null ? nameBefore(i, begin) : you;
                of = of == null ? last : of;
                subject = of == null ? null : of.other();
            }
            at = i;
        }
        if (owner != null) {
            return new Subject(owner, true, true);
        }
        if (subject == null) {
            Corner noted = noted(to);
            if (noted != null) {
                return new Subject(noted, true, true);
            }
            Corner victim = behind(to, end, Set.of("on", "against"));
            if (victim != null) {
                return new Subject(victim.other(), true, true);
            }
            at = begin - 1;
        }
        Corner who = subject == null ? last : subject;
        if (who == null) {
            return new Subject(null, false, false);
        }
        int near = Math.max(clauses.begin(from, 1), from - ANSWERED);
        String between = clauses.bare(Math.max(at + 1, near), from);
        boolean answers =
                ATTACKS.contains(family) && patterns.has("defends", between) && !patterns.has("means", between);
        return new Subject(answers ? who.other() : who, named, firm);
    }

    /** Whose name notes set right behind an action, with nothing or a side behind it: "spider sweep T. left". */
    private @Nullable Corner noted(int to) {
        People.Named n =
                to + 1 < words.size() && words.get(to).pause() == Word.Pause.NONE ? people.at(words, to + 1) : null;
        if (n == null || n.owned()) {
            return null;
        }
        int last = to + n.words();
        boolean alone = last + 1 >= words.size()
                || words.get(last).pause() != Word.Pause.NONE
                || NOTED.contains(words.get(last + 1).bare());
        return alone ? n.who() : null;
    }

    /** Who acts by name before a word of a sentence, the nearest; null when nobody does. */
    private @Nullable Corner nameBefore(int word, int begin) {
        for (int i = word - 1; i >= begin; i--) {
            People.Named n = endsAt(i, begin);
            if (n != null && !n.owned() && !object(i - n.words() + 1, begin)) {
                return n.who();
            }
        }
        return null;
    }

    /** Who is named behind an action after one of some words: "armbar from Brisa", "swept by the athlete in blue". */
    private @Nullable Corner behind(int to, int end, Set<String> after) {
        for (int i = to + 1; i < Math.min(end, to + BY_FAR); i++) {
            if (i > to + BY && !words.get(i).bare().equals("by")) {
                continue;
            }
            boolean nobody =
                    i + 1 < words.size() && NOBODY.contains(words.get(i + 1).bare());
            if (after.contains(words.get(i).bare()) && words.get(i).pause() == Word.Pause.NONE && !nobody) {
                int far = words.get(i).bare().equals("for") ? i + 2 : i + 5;
                for (int k = i + 1; k < Math.min(words.size(), far); k++) {
                    People.Named n = people.at(words, k);
                    if (n != null) {
                        return n.owned() ? null : n.who();
                    }
                }
                String next = i + 1 < words.size() ? words.get(i + 1).bare() : "";
                boolean you2 = you != null && after.contains("from");
                return you2 && Set.of("her", "him").contains(next) && you != null ? you.other() : null;
            }
        }
        return null;
    }

    /** Whose it is that "her", "his" or "your" says; null when that is not clear. */
    private @Nullable Corner whose(int i) {
        String w = words.get(i).bare();
        if (self != null) {
            return Speaker.MINE.contains(w) ? self : self.other();
        }
        if (he != null) {
            return w.equals("his") ? he : w.equals("her") ? he.other() : null;
        }
        return you == null ? null : w.equals("your") ? you : you.other();
    }

    /** Who is named by words of which this is the last; null when nobody is. */
    private People.@Nullable Named endsAt(int i, int begin) {
        for (int k = Math.max(begin, i - 1); k <= i; k++) {
            People.Named n = people.at(words, k);
            if (n != null && k + n.words() - 1 == i) {
                return n;
            }
        }
        return null;
    }

    /** Who is the first to act in a stretch; null when nobody is named or meant. */
    @Nullable
    Corner first(int from, int to) {
        for (int i = from; i < to; i++) {
            People.Named n = people.at(words, i);
            if (n != null && !n.owned()) {
                return object(i, from) ? null : n.who();
            }
            if ((you != null || self != null) && !object(i, from) && pronoun(i) != null) {
                return pronoun(i);
            }
        }
        return null;
    }

    /** Who is named in a stretch, whoever stands after one of some words before others; null when nobody is. */
    @Nullable
    Corner named(int from, int to, Set<String> after) {
        Corner first = null;
        for (int i = from; i < to; i++) {
            People.Named n = people.at(words, i);
            if (n != null && i > from && after.contains(words.get(i - 1).bare())) {
                return n.who();
            }
            first = first == null && n != null ? n.who() : first;
        }
        return first;
    }

    /** Who was spoken of last. */
    @Nullable
    Corner last() {
        return last;
    }
}
