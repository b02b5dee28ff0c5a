package farglass.rules;

/** A ruleset file that cannot be used; says where and why. */
public final class RulesetException extends Exception {
    public RulesetException(String path, String message) {
        super(path + ": " + message);
    }
}
