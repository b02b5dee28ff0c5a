/** Who is it against, when, under which rules, and which matches are there? */
package farglass.desk.assignment;
