/** The tide line: a match as one line over match time. */
package farglass.desk.tide;
