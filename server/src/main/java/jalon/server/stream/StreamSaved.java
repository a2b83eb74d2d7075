package jalon.server.stream;

/** A version of a stream that has just been saved, in the transaction that does so. */
public record StreamSaved(String name, int version) {}
