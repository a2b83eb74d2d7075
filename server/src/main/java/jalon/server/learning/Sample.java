package jalon.server.learning;

import java.time.Instant;

/**
 * A document whose type a person confirmed.
 *
 * @param variant the layout that a person gave it, or null where Jalon finds the layouts itself
 * @param batchId where its pages are, @param firstPage the number of its first page there
 * @param takenOutBy who said that the type is not to be known by it, or null
 * @param picture whether the type is shown by it
 */
public record Sample(
        long id,
        String stream,
        String type,
        String variant,
        long batchId,
        int firstPage,
        String confirmedBy,
        Instant confirmedAt,
        SampleStanding standing,
        String takenOutBy,
        boolean picture) {}
