/**
 * What is fast enough, measured: each figure as a ratio to a stated limit or to a library doing the same work in the
 * same run. Entry point: {@link farglass.bench.BenchMain}. May use every module; nothing uses it.
 */
package farglass.bench;
