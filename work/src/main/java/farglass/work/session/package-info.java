/** What holds while somebody works on a library: the team's own words and rules. Entry point {@link farglass.work.session.TeamWords}. */
package farglass.work.session;
