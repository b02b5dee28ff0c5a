/** Tags as tables and captions: CSV (both ways) and WebVTT. */
@NullMarked
package farglass.store.table;

import org.jspecify.annotations.NullMarked;
