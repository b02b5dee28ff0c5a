/** The phrase line: tagging by typing, with the film running. */
package farglass.desk.phrase;
