/** The library bundle ({@code farglass.library/1}): a zip of open documents, safe to open whoever made it. */
package farglass.store.bundle;
