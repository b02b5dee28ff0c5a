/**
 * What does the film sound like? Sound is read beside the picture, played slower or faster at its true pitch, and made
 * up where there is none: a hall and a whistle for drawn footage, a voice where there is no microphone.
 *
 * <p>Entry points: {@link farglass.film.sound.SoundPlayer}, {@link farglass.film.sound.Voice}. Uses farglass.film.
 */
package farglass.film.sound;
