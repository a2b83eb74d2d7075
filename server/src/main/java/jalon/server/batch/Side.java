package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Of a sheet of paper. */
public enum Side {
    @JsonProperty("front")
    FRONT,
    @JsonProperty("back")
    BACK
}
