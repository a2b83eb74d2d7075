package jalon.core.index;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Which way a value was found. */
public enum FoundBy {
    @JsonProperty("zone")
    ZONE,
    @JsonProperty("barcode")
    BARCODE,
    @JsonProperty("shape")
    SHAPE,
    @JsonProperty("label")
    LABEL,
    @JsonProperty("register")
    REGISTER,
    @JsonProperty("ticks")
    TICKS,
    @JsonProperty("inherited")
    INHERITED,
    /** Made of other fields' values. */
    @JsonProperty("fields")
    FIELDS,
    @JsonProperty("fixed")
    FIXED,
    /** Settled by a person. */
    @JsonProperty("person")
    PERSON,
    /** Nothing was found. */
    @JsonProperty("none")
    NONE
}
