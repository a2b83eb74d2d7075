package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonProperty;

/** An ink that can be dropped. */
public enum Colour {
    @JsonProperty("red")
    RED,
    @JsonProperty("green")
    GREEN,
    @JsonProperty("blue")
    BLUE,
    /** Whatever coloured ink there is most of. */
    @JsonProperty("any")
    ANY;

    /** Whether an ink, by how much it takes of red, green and blue light, is of this colour. */
    boolean is(double red, double green, double blue) {
        double least = Math.min(red, Math.min(green, blue));
        return switch (this) {
            case RED -> red == least;
            case GREEN -> green == least;
            case BLUE -> blue == least;
            case ANY -> true;
        };
    }
}
