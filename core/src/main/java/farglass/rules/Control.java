package farglass.rules;

import java.util.HashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What one athlete has been paid for while his control lasts, and what led to the present state for him. */
final class Control {
    private final Set<String> paid = new HashSet<>();
    private Set<String> before = Set.of();
    /** Since when the other has been playing guard under him without a break; -1 for not. */
    private long guardSince = -1;
    /** He played guard, and has not stood free for long since. */
    private boolean fromGuard;

    boolean isPaid(@Nullable String award) {
        return paid.contains(award);
    }

    void pay(String award) {
        paid.add(award);
    }

    /** His control is broken; it can be given back when what broke it does not last. */
    void broken() {
        before = new HashSet<>(paid);
        paid.clear();
        guardSince = -1;
    }

    void gainedAnew() {
        paid.clear();
    }

    void givenBack() {
        paid.addAll(before);
    }

    void underneath(long from, boolean guard) {
        if (!guard) {
            guardSince = -1;
        } else if (guardSince < 0) {
            guardSince = from;
        }
    }

    /** Since when the other's guard has stood; -1 when it does not. */
    long guardSince() {
        return guardSince;
    }

    void fromGuard(boolean was) {
        fromGuard = was;
    }

    boolean cameFromGuard() {
        return fromGuard;
    }
}
