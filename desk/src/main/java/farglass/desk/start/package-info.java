/** What a newcomer does once: the first steps, ticked as they are done. */
package farglass.desk.start;
