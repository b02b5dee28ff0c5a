package farglass.rules;

import org.jspecify.annotations.Nullable;

/** A ruleset file that cannot be used; says where and why. */
public final class RulesetException extends Exception {
    /** What is wrong, and where in the file, as a JSON pointer. */
    public RulesetException(String path, @Nullable String message) {
        super(path + ": " + message);
    }
}
