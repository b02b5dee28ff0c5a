/** Made-up worlds whose truth is known, to hold estimates, sequences, win chances and plans against. */
package farglass.bench.truth;
