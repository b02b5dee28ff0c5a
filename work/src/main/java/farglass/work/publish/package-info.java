/**
 * What is written for others: dossier, profile, report, briefing, reel, corner card, camp papers, stills, spoken
 * breakdowns. The window and the command line write the same.
 *
 * <p>Entry points: {@link farglass.work.publish.Material}, what all are made of; {@link
 * farglass.work.publish.Publisher}, which writes beside a window.
 */
@NullMarked
package farglass.work.publish;

import org.jspecify.annotations.NullMarked;
