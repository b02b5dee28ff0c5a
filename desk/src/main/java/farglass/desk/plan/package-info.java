/** How do we beat this opponent? Forks laid by hand from pinned claims. */
package farglass.desk.plan;
