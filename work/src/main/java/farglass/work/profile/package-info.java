/** What is told of an athlete. Entry point {@link farglass.work.profile.ProfileService}; uses core. */
package farglass.work.profile;
