/** What is told of an athlete. Entry point {@link farglass.work.profile.ProfileService}; uses core. */
@NullMarked
package farglass.work.profile;

import org.jspecify.annotations.NullMarked;
