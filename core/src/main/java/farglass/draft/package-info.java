/** What others have said or shown about a match, as tags that count nothing before somebody takes them. */
@NullMarked
package farglass.draft;

import org.jspecify.annotations.NullMarked;
