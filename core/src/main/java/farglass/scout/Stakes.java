package farglass.scout;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What dangers and openings are worth against our own athlete, and what he has for them. */
public interface Stakes {
    /** Nobody is set to meet the athlete. */
    Stakes NONE = new Stakes() {
        @Override
        public OptionalDouble worth(String technique, boolean theirs) {
            return OptionalDouble.empty();
        }

        @Override
        public Optional<Sentence> answer(String technique) {
            return Optional.empty();
        }

        @Override
        public Optional<Sentence> own(String technique) {
            return Optional.empty();
        }

        @Override
        public boolean set() {
            return false;
        }

        @Override
        public List<String> best() {
            return List.of();
        }

        @Override
        public List<String> worst() {
            return List.of();
        }
    };

    /**
     * Points of win chance that a tenth more of a technique, or of a family of them, is worth; empty where that is not
     * worked out.
     */
    OptionalDouble worth(String technique, boolean theirs);

    /** What our athlete answers to a technique, with its record. */
    Optional<Sentence> answer(String technique);

    /** Our athlete's own record with a technique. */
    Optional<Sentence> own(String technique);

    /** Whether an athlete of ours is set. */
    boolean set();

    /** Techniques of our athlete that are worth most and that he has shown, the best first. */
    List<String> best();

    /** Techniques of the other that cost most and that he has shown, the worst first. */
    List<String> worst();
}
