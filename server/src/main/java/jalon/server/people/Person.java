package jalon.server.people;

/** @param role {@code operator}, {@code supervisor} or {@code reader} */
public record Person(String signIn, String name, String role, String passwordHash) {}
