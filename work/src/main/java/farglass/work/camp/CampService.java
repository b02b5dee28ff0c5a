package farglass.work.camp;

import farglass.camp.CardWriter;
import farglass.camp.Preparation;
import farglass.camp.Skill;
import farglass.drill.Drill;
import farglass.drill.Drills;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.text.Language;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What a camp for a solved match-up is made of. */
public final class CampService {
    private CampService() {}

    /**
     * What is trained.
     *
     * @param skills what the plan depends on, most worth first
     * @param cards writes a round's card
     * @param drills moments of film to answer
     */
    public record Rounds(List<Skill> skills, CardWriter cards, List<Drill> drills) {}

    /** Takes about a second. May be called from any thread. */
    public static Rounds rounds(Proposal p, LibraryIndex index, MeetingWriter writer) {
        Meeting.Question q = p.solved().meeting().question();
        List<Skill> skills = Skill.of(p, writer.decisions(), Preparation.SKILLS);
        Set<String> wanted = new LinkedHashSet<>();
        skills.forEach(s -> wanted.add(s.technique()));
        Evidence them = Evidence.of(index, q.them(), q.filter());
        return new Rounds(skills, new CardWriter(Language.locale(), writer, them), drills(index, q.them(), wanted));
    }

    /** Of the opponent, in any attire; without film of him of whoever there is film of, practice films among them. */
    private static List<Drill> drills(LibraryIndex index, String them, Set<String> wanted) {
        List<Drill> own = Drills.of(Evidence.of(index, them, Filter.ALL), wanted);
        if (!own.isEmpty()) {
            return own;
        }
        return index.athletes().stream()
                .flatMap(a -> Drills.of(Evidence.of(index, a, Filter.ALL), wanted).stream())
                .toList();
    }
}
