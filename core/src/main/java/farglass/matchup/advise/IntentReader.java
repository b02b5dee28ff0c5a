package farglass.matchup.advise;

import farglass.conduct.EventPattern;
import farglass.conduct.Occurrence;
import farglass.lexicon.Lexicon;
import farglass.matchup.advise.IntentWords.Sided;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Reads what a coach writes into what the model can follow: "from half guard underhook sweep, never knee cut". Names of
 * places and actions are the lexicon's; where no place is named, wherever our athlete does it is meant. A guard is our
 * own and a pin is ours to hold, unless the words say otherwise or the action is only done from the other side.
 */
public final class IntentReader {
    private final BackwardInduction programme;
    private final Lexicon lexicon;
    private final StateSpace groups;
    private final IntentWords words;
    private final Locale locale;

    /** @param them first name of the opponent */
    public IntentReader(MeetingSolution solved, Locale locale, Lexicon lexicon, String them) {
        this.programme = solved.planned().programme();
        this.lexicon = lexicon;
        this.groups = new StateSpace(lexicon);
        this.words = new IntentWords(locale, them);
        this.locale = locale;
    }

    /** What a text wants, in its order; a sentence that names nothing film could show is one that is not valued. */
    public List<Intent> read(String text) {
        return read(text, List.of());
    }

    /**
     * What a text wants.
     *
     * @param before places that are meant where the text names none
     */
    public List<Intent> read(String text, List<ModelState> before) {
        List<Intent> all = new ArrayList<>();
        for (String sentence : text.split("[;.\\n]")) {
            int known = all.size();
            new Sentence(before).read(sentence, all);
            if (all.size() == known && !sentence.isBlank()) {
                all.add(Intent.unvalued(sentence.strip(), Intent.Unvalued.NO_ACTION));
            }
        }
        return all;
    }

    /** The places that a text names, as the model knows them, with us where we would usually be. */
    public List<ModelState> places(String text) {
        Sentence s = new Sentence(List.of());
        s.named(text.toLowerCase(locale));
        return s.named.keySet().stream()
                .map(g ->
                        states().stream().filter(p -> p.group().equals(g)).min(Comparator.comparingInt(s::strangeness)))
                .flatMap(Optional::stream)
                .toList();
    }

    /** Whether film shows our athlete, or the opponent, doing what a text names. */
    public boolean shown(String text, boolean ours) {
        Set<String> named = Occurrence.mentioned(text, ours, lexicon).stream()
                .filter(m -> m.kind() == EventPattern.Kind.ACTION)
                .flatMap(m -> m.codes().stream())
                .collect(Collectors.toSet());
        return !named.isEmpty()
                && states().stream()
                        .flatMap(p -> model().exits(p, ours).stream())
                        .anyMatch(e -> e.technique() != null
                                && named.contains(e.technique())
                                && !e.basis().tags().isEmpty());
    }

    private List<ModelState> states() {
        return programme.model().states().stream().filter(p -> !p.paid()).toList();
    }

    private Model model() {
        return programme.model();
    }

    /** What has been said so far in one sentence. */
    private final class Sentence {
        private final List<ModelState> before;
        /** Groups of places, with the side on which each is meant. */
        private final Map<String, Optional<Sided>> named = new LinkedHashMap<>();

        private final List<Integer> last = new ArrayList<>();
        private Conditions leading = Conditions.NONE;
        private Optional<Sided> side = Optional.empty();
        private boolean acted;

        Sentence(List<ModelState> before) {
            this.before = before;
        }

        void read(String sentence, List<Intent> all) {
            for (String clause : words.clauses(sentence.toLowerCase(locale))) {
                List<EventPattern> mentioned = Occurrence.mentioned(clause, true, lexicon).stream()
                        .filter(m -> m.kind() == EventPattern.Kind.PLACE || m.kind() == EventPattern.Kind.ACTION)
                        .toList();
                boolean acts = mentioned.stream().anyMatch(m -> m.kind() == EventPattern.Kind.ACTION);
                boolean hold = !acts && words.hold(clause);
                Conditions said = words.conditions(clause);
                if (mentioned.isEmpty() && !hold && !said.none()) {
                    conditions(said, clause.endsWith(":"), all);
                }
                boolean elsewhere = !mentioned.isEmpty() && mentioned.get(0).kind() == EventPattern.Kind.PLACE;
                if (acted && (elsewhere || words.then(clause))) {
                    forget();
                }
                named(clause);
                if (acts || hold) {
                    last.clear();
                    List<Intent> found = new ArrayList<>();
                    if (hold) {
                        found.add(hold(clause));
                    }
                    mentioned.stream()
                            .filter(m -> m.kind() == EventPattern.Kind.ACTION)
                            .forEach(m -> found.add(words.never(clause) ? never(m) : done(m)));
                    for (Intent i : found) {
                        last.add(all.size());
                        all.add(i.when(said.or(leading)));
                    }
                    acted = true;
                }
            }
        }

        /** Conditions said alone hold for what follows, or else for what was said before. */
        private void conditions(Conditions said, boolean follows, List<Intent> all) {
            if (last.isEmpty() || follows) {
                leading = said.or(last.isEmpty() ? leading : Conditions.NONE);
            } else {
                last.forEach(i -> all.set(i, all.get(i).when(said)));
            }
        }

        private void forget() {
            named.clear();
            acted = false;
            side = Optional.empty();
        }

        /** Takes note of the places that a clause names. */
        void named(String clause) {
            for (String part : words.places(clause)) {
                Optional<Sided> said = Optional.ofNullable(words.side(part));
                side = said.isPresent() ? said : side;
                List<EventPattern> places = Occurrence.mentioned(part, true, lexicon).stream()
                        .filter(m -> m.kind() == EventPattern.Kind.PLACE)
                        .toList();
                places.forEach(m -> m.codes().forEach(c -> named.put(groups.of(c), side)));
                side = places.isEmpty() ? side : Optional.empty();
            }
        }

        /** 0 where a place is as the words say, 1 where it is as usual, 2 otherwise. */
        int strangeness(ModelState p) {
            if (p.standing() == 0) {
                return 0;
            }
            boolean guard = groups.guard(p.group()) && !groups.passing(p.group());
            int usual = guard ? -1 : 1;
            Sided said = named.getOrDefault(p.group(), side).orElse(null);
            int meant = said == null ? usual : said == Sided.BELOW ? -1 : said == Sided.ABOVE ? 1 : -usual;
            return p.standing() == meant ? 0 : p.standing() == usual ? 1 : 2;
        }

        /** Where we may be: what is named, or what came before; empty when anywhere is meant. */
        private List<ModelState> meant() {
            return named.isEmpty()
                    ? before
                    : states().stream()
                            .filter(p -> named.containsKey(p.group()))
                            .toList();
        }

        private Intent hold(String clause) {
            List<ModelState> places = named.isEmpty() ? states() : meant();
            List<ModelState> held = places.stream()
                    .filter(p -> !named.isEmpty() || p.standing() > 0)
                    .filter(p -> strangeness(p) == 0)
                    .filter(p -> offers(p, Option.HOLD))
                    .toList();
            return held.isEmpty()
                    ? Intent.unvalued(clause.strip(), Intent.Unvalued.NO_PLACE)
                    : new Intent(clause.strip(), List.of(always(held, Option.HOLD)), Set.of(), named.isEmpty(), null);
        }

        private Intent never(EventPattern m) {
            // from the other side than words say is not where it was meant
            List<Exit> there = exits(m, meant()).stream()
                    .filter(e -> strangeness(e.from()) == 0)
                    .toList();
            boolean anywhere = there.isEmpty() || meant().isEmpty();
            List<Exit> out = there.isEmpty() ? exits(m, List.of()) : there;
            return out.isEmpty()
                    ? Intent.unvalued(m.words(), Intent.Unvalued.NEVER_SEEN)
                    : new Intent(
                            m.words(),
                            List.of(),
                            out.stream().map(Exit::key).collect(Collectors.toSet()),
                            anywhere,
                            null);
        }

        private Intent done(EventPattern m) {
            if (!named.isEmpty() && meant().isEmpty()) {
                return Intent.unvalued(m.words(), Intent.Unvalued.NO_PLACE);
            }
            List<Exit> there = exits(m, meant());
            boolean anywhere = meant().isEmpty();
            if (there.isEmpty() && named.isEmpty() && !anywhere) {
                there = exits(m, List.of());
                anywhere = true;
            }
            if (there.isEmpty()) {
                return Intent.unvalued(m.words(), Intent.Unvalued.NEVER_SEEN, false, unseen(m));
            }
            List<Exit> shown = there.stream().filter(Exit::ownAction).toList();
            if (shown.isEmpty()) {
                return Intent.unvalued(m.words(), Intent.Unvalued.HARDLY_SHOWN, anywhere, asDone(there));
            }
            Map<String, List<ModelState>> places = new LinkedHashMap<>();
            for (ModelState p : shown.stream().map(Exit::from).distinct().toList()) {
                Exit most = mostDone(shown, p);
                if (most != null) {
                    places.computeIfAbsent(String.valueOf(most.technique()), k -> new ArrayList<>())
                            .add(p);
                }
            }
            List<Decision> decisions = places.entrySet().stream()
                    .map(e -> always(e.getValue(), Option.press(e.getKey())))
                    .toList();
            return decisions.isEmpty()
                    ? Intent.unvalued(m.words(), Intent.Unvalued.ALREADY, anywhere, asDone(shown))
                    : new Intent(m.words(), decisions, Set.of(), anywhere, null);
        }

        /** What is not known of our athlete yet, where the words say; empty where they do not, or name many actions. */
        private List<Decision> unseen(EventPattern m) {
            List<ModelState> places =
                    meant().stream().filter(p -> strangeness(p) == 0).toList();
            return places.isEmpty() || m.codes().size() > 1
                    ? List.of()
                    : m.codes().stream()
                            .map(code -> always(places, Option.press(code)))
                            .toList();
        }

        /** A decision for each technique, in all its places. */
        private List<Decision> asDone(List<Exit> exits) {
            Map<String, List<ModelState>> places = new LinkedHashMap<>();
            exits.forEach(e -> places.computeIfAbsent(String.valueOf(e.technique()), k -> new ArrayList<>())
                    .add(e.from()));
            return places.entrySet().stream()
                    .map(e -> always(e.getValue(), Option.press(e.getKey())))
                    .toList();
        }

        /** Of several techniques that a word may mean, the one most done there that can be done more. */
        private @Nullable Exit mostDone(List<Exit> exits, ModelState p) {
            return exits.stream()
                    .filter(e -> e.from().equals(p) && offers(p, Option.press(e.technique())))
                    .max(Comparator.comparingDouble(Exit::rate))
                    .orElse(null);
        }

        /** Our ways out with an action, from where it is meant to be done; everywhere when no places are given. */
        private List<Exit> exits(EventPattern m, List<ModelState> places) {
            List<Exit> all = (places.isEmpty() ? states() : places)
                    .stream()
                            .flatMap(p -> model().exits(p, true).stream())
                            .filter(e -> e.technique() != null && m.codes().contains(e.technique()))
                            .toList();
            if (places.isEmpty()) {
                return all;
            }
            ToIntFunction<Exit> strange = e -> strangeness(e.from());
            Map<String, Integer> least = all.stream()
                    .collect(Collectors.toMap(
                            e -> e.from().group(), strange::applyAsInt, Math::min, LinkedHashMap::new));
            return all.stream()
                    .filter(e ->
                            strange.applyAsInt(e) == least.getOrDefault(e.from().group(), 0))
                    .toList();
        }
    }

    private boolean offers(ModelState p, Option o) {
        return programme.options(model().indexOf(p)).options.contains(o);
    }

    private static Decision always(List<ModelState> places, Option option) {
        return new Decision(places, option, Set.of(Region.Lead.values()), Set.of(Region.Part.values()));
    }
}
