/** A briefing as a page for any browser. */
@NullMarked
package farglass.store.brief;

import org.jspecify.annotations.NullMarked;
