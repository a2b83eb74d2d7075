package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonProperty;

/** An ink that can be dropped; the first three in the order of a pixel's channels. */
public enum Colour {
    @JsonProperty("red")
    RED,
    @JsonProperty("green")
    GREEN,
    @JsonProperty("blue")
    BLUE,
    /** Whatever coloured ink there is most of. */
    @JsonProperty("any")
    ANY
}
