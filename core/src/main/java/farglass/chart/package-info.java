/**
 * Where does every position stand on the chart? {@link farglass.chart.ChartPlan} says it for the screen and for paper.
 */
@NullMarked
package farglass.chart;

import org.jspecify.annotations.NullMarked;
