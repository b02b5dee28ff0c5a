/** What does this athlete do? Claims, and the film behind every one. */
package farglass.desk.profile;
