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
 * @param clauses one after the other; the first carries it
 */
public record Sentence(String id, List<Clause> clauses) {
    public Sentence {
        clauses = List.copyOf(clauses);
    }

    /** What it rests on, the claim that carries it first. */
    public List<Claim> claims() {
        return clauses.stream()
                .map(Clause::claim)
                .filter(Objects::nonNull)
                .distinct()
                .toList();
    }

    /** The claim that carries it; none for words about what is missing. */
    public Optional<Claim> main() {
        return claims().stream().findFirst();
    }

    /** The weakest of what it asserts. */
    public Grade grade() {
        return clauses.stream()
                .filter(c -> c.claim() != null && c.says() != Clause.Says.COUNTED)
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

    /** Collects a sentence clause by clause. */
    static final class Builder {
        private final String id;
        private final List<Clause> clauses = new ArrayList<>();

        Builder(String id) {
            this.id = id;
        }

        Builder say(String template, @Nullable Claim claim, Clause.Says says, Object... args) {
            List<String> words = new ArrayList<>();
            for (Object a : args) {
                words.add(String.valueOf(a));
            }
            clauses.add(new Clause(template, words, claim, says, null));
            return this;
        }

        /** The same against another claim, not against the other athletes. */
        Builder than(Claim other) {
            Clause last = clauses.remove(clauses.size() - 1);
            clauses.add(new Clause(last.template(), last.args(), last.claim(), last.says(), other));
            return this;
        }

        /** How the others do it, where that is something else. */
        Builder others(Claim claim) {
            if (Known.says(claim) != Clause.Says.COUNTED) {
                say("others", claim, Known.says(claim), Known.others(claim));
            }
            return this;
        }

        Sentence build() {
            return new Sentence(id, clauses);
        }
    }
}
