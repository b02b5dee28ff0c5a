package farglass.scout;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** One technique of theirs and one of ours that are worth something. */
record FixedStakes(String theirs, String ours) implements Stakes {
    @Override
    public OptionalDouble worth(String technique, boolean byThem) {
        return technique.equals(byThem ? theirs : ours) ? OptionalDouble.of(3) : OptionalDouble.empty();
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
        return true;
    }

    @Override
    public List<String> best() {
        return List.of(ours);
    }

    @Override
    public List<String> worst() {
        return List.of(theirs);
    }
}
