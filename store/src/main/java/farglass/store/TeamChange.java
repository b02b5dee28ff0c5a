package farglass.store;

import java.time.Instant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * One step in the log of a team's library.
 *
 * @param id identity of the step; the same step is taken in once however often it is sent
 * @param item id of the match, plan or assignment, of the match that drafts are about, or name of the setting
 * @param n of all steps of this thing, from 1; 0 for one that waits
 * @param body the edit, the document or the text of a setting, as the act says; null where there is none
 * @param undoes the step that this one takes back, or null
 * @param at by the clock of who made it, told and never relied on
 * @param by who made it, or null
 * @param mirror the mirror that it came from
 * @param document the thing after this step, or null; only sent along with the last step of a thing
 */
public record TeamChange(
        String id,
        Kind kind,
        String item,
        long n,
        Act act,
        @Nullable String body,
        @Nullable String undoes,
        Instant at,
        @Nullable String by,
        @Nullable String mirror,
        @Nullable String document) {
    /** What a team shares. */
    public enum Kind {
        MATCH,
        DRAFT,
        PLAN,
        ASSIGNMENT,
        SETTING,
        /** Somebody who is forgotten; the item is a digest of his id, see {@link TeamForgetting#mark}. */
        ATHLETE;

        /** As it is written. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** @throws IllegalArgumentException for a word that is no kind */
        public static Kind of(String code) {
            return valueOf(code.toUpperCase(Locale.ROOT));
        }
    }

    /** What a step does. */
    public enum Act {
        /** A match comes, as its body. */
        NEW,
        /** A match is edited by its body. */
        EDIT,
        /** A match is taken out of sight. */
        REMOVED,
        /** A match comes back into sight. */
        BACK,
        /** A document or setting is its body from now on. */
        SET,
        /**
         * An athlete is deleted for good, in every mirror; the body is only sent: what goes with him and what stays.
         */
        FORGOTTEN;

        /** As it is written. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** @throws IllegalArgumentException for a word that is no act */
        public static Act of(String code) {
            return valueOf(code.toUpperCase(Locale.ROOT));
        }
    }

    /** The same with what the thing is after it. */
    public TeamChange after(@Nullable String whole) {
        return new TeamChange(id, kind, item, n, act, body, undoes, at, by, mirror, whole);
    }

    /** The same as a step that was made in this mirror. */
    TeamChange here() {
        return new TeamChange(id, kind, item, n, act, body, undoes, at, by, null, document);
    }

    /** The same as the n-th step of its thing. */
    public TeamChange numbered(long number) {
        return new TeamChange(id, kind, item, number, act, body, undoes, at, by, mirror, document);
    }
}
