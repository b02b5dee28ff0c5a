/**
 * What goes on paper: the plan as a page. Entry point: {@link farglass.print.PlanPage}. PDFBox sets the shipped
 * typefaces.
 */
package farglass.print;
