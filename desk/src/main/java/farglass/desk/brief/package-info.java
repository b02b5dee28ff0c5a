/** The briefing: put in order, shown full screen, written as film, paper and page. */
package farglass.desk.brief;
