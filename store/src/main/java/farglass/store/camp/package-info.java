/** A camp in the format of calendars. */
@NullMarked
package farglass.store.camp;

import org.jspecify.annotations.NullMarked;
