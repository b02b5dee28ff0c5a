/**
 * How can any moment of a film be on screen at once? Small copies in which every frame stands alone, made in the
 * background in pieces, so that making them can be stopped and taken up again.
 *
 * <p>Entry point: {@link farglass.film.proxy.ProxyStore}. Uses farglass.film.
 */
package farglass.film.proxy;
