/** What tags cost in keys. */
@NullMarked
package farglass.bench.keys;

import org.jspecify.annotations.NullMarked;
