/** The library bundle ({@code farglass.library/1}): a zip of open documents, safe to open whoever made it. */
@NullMarked
package farglass.store.bundle;

import org.jspecify.annotations.NullMarked;
