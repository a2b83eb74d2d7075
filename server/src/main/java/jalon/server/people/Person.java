package jalon.server.people;

/** Somebody who may sign in. */
public record Person(String signIn, String name, Role role, String passwordHash) {}
