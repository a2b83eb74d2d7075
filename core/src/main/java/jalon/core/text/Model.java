package jalon.core.text;

import com.fasterxml.jackson.annotation.JsonProperty;

/** By which models a place is read another time: two that agree make mistakes of different kinds. */
public enum Model {
    /** Those that the page was read by. */
    @JsonProperty("same")
    SAME,
    /** Another, that knows the letters of all languages written so; the same where there is none. */
    @JsonProperty("other")
    OTHER;

    /** @param models that the page was read by, joined by {@code +} */
    public String after(String models) {
        return this == OTHER ? ReadingModels.other(models) : models;
    }
}
