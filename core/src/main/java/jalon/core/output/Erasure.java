package jalon.core.output;

import com.fasterxml.jackson.annotation.JsonProperty;

/** What became of a filed file that was to be erased. */
public enum Erasure {
    @JsonProperty("erased")
    ERASED,
    /** Somebody took it away before. */
    @JsonProperty("notThere")
    NOT_THERE,
    /** What lies there is not what was filed, so it is somebody else's. */
    @JsonProperty("changed")
    CHANGED,
    /** It was sent away: nobody can fetch it back. */
    @JsonProperty("sentAway")
    SENT_AWAY,
    /** A person said to leave it there, since its place cannot be asked any more. */
    @JsonProperty("left")
    LEFT
}
