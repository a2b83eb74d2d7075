package jalon.server.people;

/**
 * Somebody who may sign in.
 *
 * @param locked whether that is over; what the person did keeps the name
 * @param mustChange whether the password was given by a supervisor, so that nothing is to be done before it is changed
 * @param directory whether the organisation's directory signs the person in; nobody knows the password then
 */
public record Person(
        String signIn,
        String name,
        Role role,
        String passwordHash,
        boolean locked,
        boolean mustChange,
        boolean directory) {
    /** One who chose the password. */
    public static Person of(String signIn, String name, Role role, String passwordHash) {
        return new Person(signIn, name, role, passwordHash, false, false, false);
    }
}
