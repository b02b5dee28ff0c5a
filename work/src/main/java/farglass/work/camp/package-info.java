/** What a training camp is made of. Entry point {@link farglass.work.camp.CampService}; uses core. */
package farglass.work.camp;
