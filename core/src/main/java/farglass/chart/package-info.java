/** Where does every position stand on the chart? {@link farglass.chart.ChartPlan} says it for the screen and for paper. */
package farglass.chart;
