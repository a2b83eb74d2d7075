package jalon.server.filing;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.run.DeliveryState;
import java.util.List;

/** What a person may have become of a delivery that is refused or waits for its next try. */
public enum Remedy {
    /** It is tried at once. */
    @JsonProperty("now")
    NOW,
    /** It is tried at once under another name. */
    @JsonProperty("rename")
    RENAME,
    /** It is tried at once; where its name is taken it is numbered. */
    @JsonProperty("number")
    NUMBER,
    @JsonProperty("leaveOut")
    LEAVE_OUT;

    static List<Remedy> of(DeliveryState state) {
        return switch (state) {
            case REFUSED -> List.of(values());
            case RETRYING -> List.of(NOW, LEAVE_OUT);
            case PLANNED, RUNNING, DONE, LEFT_OUT -> List.of();
        };
    }
}
