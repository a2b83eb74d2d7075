package jalon.server.filing;

/** Values of a document of this batch have just been corrected, in the transaction that does so. */
public record ValuesCorrected(long batch) {}
