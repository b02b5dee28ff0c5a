/** What is read out of narrations, held against what was meant. */
@NullMarked
package farglass.bench.speech;

import org.jspecify.annotations.NullMarked;
