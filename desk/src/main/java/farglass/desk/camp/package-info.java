/** How do we get there? Minutes, days and cards of the camp, and what its rounds have shown. */
package farglass.desk.camp;
