package jalon.server.rights;

import jalon.server.people.Role;
import java.util.Collections;
import java.util.Map;
import java.util.Set;

/**
 * Which groups alone have which right. What is said of a type goes before what is said of its stream; what is said of neither
 * is had by all whose role has it.
 *
 * @param groups by what they have; never empty for one
 */
record RightRules(Map<Over, Set<Long>> groups) {
    static final RightRules NONE = new RightRules(Map.of());

    /** A right over documents. @param type empty for all of the stream that nothing is said of */
    record Over(Right right, String stream, String type) {}

    /** @param groups that the person is in, @param type empty for the stream as a whole */
    boolean may(Role role, Set<Long> groups, Right right, String stream, String type) {
        Set<Long> only = this.groups.get(new Over(right, stream, type));
        if (only == null) {
            only = this.groups.get(new Over(right, stream, ""));
        }
        return only == null ? right.isHadBy(role) : right.canBeGivenTo(role) && !Collections.disjoint(only, groups);
    }

    /** Whether something is said of single types of the stream. */
    boolean partsTypes(Right right, String stream) {
        return groups.keySet().stream()
                .anyMatch(o -> o.right() == right
                        && o.stream().equals(stream)
                        && !o.type().isEmpty());
    }
}
