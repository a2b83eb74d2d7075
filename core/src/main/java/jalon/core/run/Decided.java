package jalon.core.run;

import java.time.Instant;

/** A decision with its author and time. */
public record Decided(Decision decision, String by, Instant at) {}
