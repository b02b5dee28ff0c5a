/** The table's score as a film shows it: who is who, what each change was for, and the calls that come of it. */
@NullMarked
package farglass.table;

import org.jspecify.annotations.NullMarked;
