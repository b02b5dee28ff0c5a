/** A team's library under many writers and under faults, on a real server that is started here. */
package farglass.bench.team;
