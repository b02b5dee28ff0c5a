/** A camp in the format of calendars. */
package farglass.store.camp;
