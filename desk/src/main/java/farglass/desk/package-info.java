/**
 * The application. Entry point: {@link farglass.desk.DeskMain}. Computes no statistic; draws what the core gives it.
 */
package farglass.desk;
