/** The chart: a fixed map of positions with the flows of one athlete, or of two laid over one another. */
package farglass.desk.chart;
