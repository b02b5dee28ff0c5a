/** Tags as tables and captions: CSV (both ways) and WebVTT. */
package farglass.store.table;
