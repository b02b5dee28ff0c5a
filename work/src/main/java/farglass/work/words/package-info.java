/** Sentences of the use cases. Entry point {@link farglass.work.words.WorkWords}. */
package farglass.work.words;
