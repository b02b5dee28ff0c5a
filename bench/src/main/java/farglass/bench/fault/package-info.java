/**
 * Goes at the program as the world does: films of every container and frame order, mutated documents, processes killed
 * at any moment. Entry points {@link farglass.bench.fault.FrameFaults}, {@link farglass.bench.fault.InputFaults},
 * {@link farglass.bench.fault.KillFaults}. May use everything.
 */
package farglass.bench.fault;
