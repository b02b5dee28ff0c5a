package farglass;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaField;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.lang.reflect.Field;
import java.util.Collection;
import java.util.Map;
import java.util.Set;

/** Rules that every module keeps; each module's own test asks for them. */
public final class ArchitectureRules {
    /** Every package of every module is a part of its own. */
    public static final ArchRule NO_CYCLES =
            slices().matching("farglass.(**)").should().beFreeOfCycles();

    /**
     * Nothing is shared by way of a class: neither a field that can be set anew nor a collection that can be filled.
     */
    public static final ArchRule NO_MUTABLE_STATIC_STATE = noMutableStaticStateBut(Set.of());

    private ArchitectureRules() {}

    /** @param left full names of fields that may hold state, each with its reason where it is declared */
    public static ArchRule noMutableStaticStateBut(Set<String> left) {
        return fields().that()
                .areStatic()
                .and(DescribedPredicate.describe(
                        "are written by hand",
                        (JavaField f) ->
                                !f.getModifiers().contains(JavaModifier.SYNTHETIC) && !left.contains(f.getFullName())))
                .should()
                .beFinal()
                .andShould(new ArchCondition<>("hold nothing that can be changed") {
                    @Override
                    public void check(JavaField field, ConditionEvents events) {
                        if (field.getRawType().isAssignableTo(Collection.class)
                                || field.getRawType().isAssignableTo(Map.class)) {
                            String kind = kind(field.reflect());
                            events.add(new SimpleConditionEvent(
                                    field,
                                    kind.startsWith("java.util.ImmutableCollections")
                                            || kind.startsWith("java.util.Collections$Unmodifiable"),
                                    field.getFullName() + " is a " + kind));
                        }
                    }
                });
    }

    private static String kind(Field field) {
        try {
            field.setAccessible(true);
            return field.get(null).getClass().getName();
        } catch (IllegalAccessException e) {
            throw new AssertionError(e);
        }
    }
}
