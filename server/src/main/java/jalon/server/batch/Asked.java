package jalon.server.batch;

/**
 * Who asks for an act, and on what they saw.
 *
 * @param who sign-in
 * @param revision of the batch that it was made on, or null: on whatever it is now
 * @param request its key: sent again it is done once; or null
 */
public record Asked(String who, Integer revision, String request) {
    public static Asked by(String who) {
        return new Asked(who, null, null);
    }
}
