/** The fork: a plan drawn from left to right. */
package farglass.desk.fork;
