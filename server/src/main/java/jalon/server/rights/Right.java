package jalon.server.rights;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.server.people.Role;
import java.util.EnumSet;
import java.util.Set;

/** What can be done with documents. */
public enum Right {
    /** Finding filed documents and looking at them, but for what is confidential. */
    @JsonProperty("see")
    SEE(Role.READER, Role.OPERATOR, Role.SUPERVISOR),
    /** What is confidential in filed documents that may be seen. */
    @JsonProperty("seeConfidential")
    SEE_CONFIDENTIAL(Role.SUPERVISOR) {
        @Override
        boolean canBeGivenTo(Role role) {
            return true;
        }
    },
    /** Bringing paper in, and working on batches: with this all their pages are seen. */
    @JsonProperty("index")
    INDEX(Role.OPERATOR, Role.SUPERVISOR),
    @JsonProperty("file")
    FILE(Role.OPERATOR, Role.SUPERVISOR),
    /** Withdrawing batches, and erasing documents whose time is over. */
    @JsonProperty("erase")
    ERASE(Role.SUPERVISOR);

    private final Set<Role> unlessSaid;

    Right(Role first, Role... others) {
        this.unlessSaid = EnumSet.of(first, others);
    }

    /** Whether all of this role have it where nothing else is said. */
    boolean isHadBy(Role role) {
        return unlessSaid.contains(role);
    }

    /** Whether anybody of this role can have it. */
    boolean canBeGivenTo(Role role) {
        return isHadBy(role);
    }
}
