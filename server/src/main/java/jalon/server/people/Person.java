package jalon.server.people;

/**
 * Somebody who may sign in.
 *
 * @param locked whether that is over; what the person did keeps the name
 * @param mustChange whether the password was given by a supervisor, so that nothing is to be done before it is changed
 */
public record Person(String signIn, String name, Role role, String passwordHash, boolean locked, boolean mustChange) {
    /** One who chose the password. */
    public static Person of(String signIn, String name, Role role, String passwordHash) {
        return new Person(signIn, name, role, passwordHash, false, false);
    }
}
