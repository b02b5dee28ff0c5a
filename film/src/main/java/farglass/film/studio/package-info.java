/**
 * Made-up footage, standing in for a camera: two figures on a mat, drawn from any match record and encoded as H.264.
 *
 * <p>Entry point: {@link farglass.film.studio.Footage}. Java2D draws without a display; letters come from the shipped
 * typefaces as outlines, so that no font system is needed.
 */
package farglass.film.studio;
