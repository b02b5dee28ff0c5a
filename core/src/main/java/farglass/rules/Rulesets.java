package farglass.rules;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The rulesets at hand: those that ship, and those the user has changed or added, which come first. */
public final class Rulesets {
    private static final List<String> SHIPPED =
            List.of("points-gi", "points-nogi", "late-points", "submission-only", "mixed-rounds");

    private final List<Ruleset> all;

    private Rulesets(List<Ruleset> all) {
        this.all = List.copyOf(all);
    }

    private static final class BuiltIn {
        static final Rulesets INSTANCE =
                new Rulesets(SHIPPED.stream().map(BuiltIn::load).toList());

        private static Ruleset load(String code) {
            String path = code + ".json";
            try (InputStream in = Rulesets.class.getResourceAsStream(path)) {
                return RulesetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (RulesetException e) {
                throw new IllegalStateException(path + " that ships is damaged: " + e.getMessage(), e);
            }
        }
    }

    /** The five that ship. */
    public static Rulesets builtIn() {
        return BuiltIn.INSTANCE;
    }

    /** These with others before them; one of the same code and the same days takes the old one's place. */
    public Rulesets with(List<Ruleset> own) {
        List<Ruleset> next = new ArrayList<>(own);
        for (Ruleset r : all) {
            boolean replaced = own.stream()
                    .anyMatch(o -> o.code().equals(r.code())
                            && java.util.Objects.equals(o.from(), r.from())
                            && java.util.Objects.equals(o.to(), r.to()));
            if (!replaced) {
                next.add(r);
            }
        }
        return new Rulesets(next);
    }

    /** All of them, the team's own first. */
    public List<Ruleset> all() {
        return all;
    }

    /** The ruleset of a code as it held on a day. */
    public Optional<Ruleset> of(@Nullable String code, @Nullable LocalDate day) {
        return all.stream()
                .filter(r -> r.code().equals(code) && r.validOn(day))
                .findFirst()
                .or(() -> all.stream().filter(r -> r.code().equals(code)).findFirst());
    }

    /** The ruleset of a code on a day; gi points where the code says nothing. */
    public Ruleset orUsual(@Nullable String code, @Nullable LocalDate day) {
        return of(code == null ? "" : code, day)
                .orElseGet(() -> of("points-gi", day).orElseThrow());
    }

    /** Its name; the code itself where no ruleset has it, nothing without a code. */
    public String name(@Nullable String code, @Nullable LocalDate day) {
        return code == null ? "" : of(code, day).map(Ruleset::title).orElse(code);
    }
}
