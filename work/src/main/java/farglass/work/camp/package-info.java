/** What a training camp is made of. Entry point {@link farglass.work.camp.CampService}; uses core. */
@NullMarked
package farglass.work.camp;

import org.jspecify.annotations.NullMarked;
