/** What was said before a match held against what happened in it. */
package farglass.debrief;
