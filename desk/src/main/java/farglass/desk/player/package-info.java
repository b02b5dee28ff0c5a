/** The film on screen. */
package farglass.desk.player;
