package jalon.server.learning;

import java.time.Instant;

/**
 * How what is known of a stream's types came about.
 *
 * @param tried so many confirmed documents were recognised by what is known without them
 * @param rightBefore so many of them came out right by the version before, and
 * @param rightNow so many by this one
 * @param undone whether the version before was given up, since new documents came out better without it
 */
public record LessonMade(int version, Instant madeAt, int tried, int rightBefore, int rightNow, boolean undone) {}
