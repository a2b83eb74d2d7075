package jalon.core.image;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.page.Box;

/**
 * What a hand made of one box to tick.
 *
 * @param certainty 0..1, that it is this and nothing else
 * @param ink share of its inside that is inked, 0..1
 * @param framed whether its printed frame was found; without one the place is only where it should be
 * @param boxMm the inside of its frame on the upright page
 */
public record Ticked(State state, double certainty, double ink, boolean framed, Box boxMm) {
    public enum State {
        @JsonProperty("empty")
        EMPTY,
        /** A tick, a cross, any stroke. */
        @JsonProperty("ticked")
        TICKED,
        /** More ink than paper: meant, or what was there was undone. */
        @JsonProperty("filled")
        FILLED,
        /** A line leads through it and out at both sides. */
        @JsonProperty("struckOut")
        STRUCK_OUT;

        /** Whether it says what its box stands for, if nothing else does. */
        public boolean chosen() {
            return this == TICKED || this == FILLED;
        }
    }

    public Ticked on(Box page) {
        return new Ticked(state, certainty, ink, framed, page);
    }
}
