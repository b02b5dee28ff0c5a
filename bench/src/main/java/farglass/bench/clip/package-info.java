/** Broadcasts made of real camera film with a graphic laid over it, of which the true clock map is known. */
package farglass.bench.clip;
