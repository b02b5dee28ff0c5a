/** A briefing as a page for any browser. */
package farglass.store.brief;
