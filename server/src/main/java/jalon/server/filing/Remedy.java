package jalon.server.filing;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.run.DeliveryState;
import java.util.List;

/** What a person may have become of a delivery that is planned, refused or waits for its next try. */
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
    LEAVE_OUT,
    /** What a person wanted of it is taken back, before it is filed. */
    @JsonProperty("asStreamSays")
    AS_STREAM_SAYS;

    static List<Remedy> of(DeliveryState state) {
        return switch (state) {
            case REFUSED -> List.of(NOW, RENAME, NUMBER, LEAVE_OUT);
            case RETRYING -> List.of(NOW, LEAVE_OUT);
            case HELD_BACK -> List.of(LEAVE_OUT);
            case PLANNED, RUNNING, DONE, LEFT_OUT -> List.of();
        };
    }
}
