package farglass.scout;

import farglass.profile.Claim;
import farglass.stats.Grade;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A sentence of a report.
 *
 * @param id stable for what it tells, so that a wording is kept when the numbers change
 * @param assertions one after the other; the first carries it
 */
public record Sentence(String id, List<Assertion> assertions) {
    public Sentence {
        assertions = List.copyOf(assertions);
    }

    /** What it rests on, the claim that carries it first. */
    public List<Claim> claims() {
        return assertions.stream()
                .map(Assertion::claim)
                .filter(Objects::nonNull)
                .distinct()
                .toList();
    }

    /** The claim that carries it; none for words about what is missing. */
    public Optional<Claim> main() {
        for (Assertion a : assertions) {
            if (a.claim() != null) {
                return Optional.of(a.claim());
            }
        }
        return Optional.empty();
    }

    /** The weakest of what it asserts. */
    public Grade grade() {
        return assertions.stream()
                .filter(c -> c.claim() != null && c.says() != Assertion.Says.COUNTED)
                .map(c -> Objects.requireNonNull(c.claim()).estimate().grade())
                .max(Comparator.naturalOrder())
                .orElseGet(() -> main().map(c -> c.estimate().grade()).orElse(Grade.THIN));
    }

    /** The moments that show it: what worked of the claim that carries it, or all where nothing did. */
    public List<Trial> moments() {
        List<Trial> all = main().map(Claim::trials).orElse(List.of());
        List<Trial> worked = all.stream().filter(Trial::worked).toList();
        return worked.isEmpty() ? all : worked;
    }

    /** The tags of {@link #moments}. */
    public List<TagRef> tags() {
        return moments().stream().map(Trial::tag).toList();
    }

    /** Collects a sentence part by part. */
    static final class Builder {
        private final String id;
        private final List<Assertion> assertions = new ArrayList<>();

        Builder(String id) {
            this.id = id;
        }

        Builder say(String template, @Nullable Claim claim, Assertion.Says says, Object... args) {
            List<String> words = new ArrayList<>();
            for (Object a : args) {
                words.add(String.valueOf(a));
            }
            assertions.add(new Assertion(template, words, claim, says, null));
            return this;
        }

        /** The same against another claim, not against the other athletes. */
        Builder than(Claim other) {
            Assertion last = assertions.remove(assertions.size() - 1);
            assertions.add(new Assertion(last.template(), last.args(), last.claim(), last.says(), other));
            return this;
        }

        /** How the others do it, where that is something else. */
        Builder others(Claim claim) {
            if (Known.says(claim) != Assertion.Says.COUNTED) {
                say("others", claim, Known.says(claim), Known.others(claim));
            }
            return this;
        }

        Sentence build() {
            return new Sentence(id, assertions);
        }
    }
}
