/** A claim on screen: the sentence, its number, its interval, a dot for every occurrence. */
package farglass.desk.claim;
