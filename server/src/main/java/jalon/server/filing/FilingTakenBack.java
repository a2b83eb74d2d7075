package jalon.server.filing;

/** The filing of this batch has just been taken back, in the transaction that does so; whoever throws keeps it as it is. */
public record FilingTakenBack(long batch) {}
