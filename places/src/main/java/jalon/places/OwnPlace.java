package jalon.places;

import jalon.core.output.FilingPlace;
import java.io.IOException;

/** A place of the organisation's at work. */
public interface OwnPlace extends FilingPlace {
    /**
     * Whether documents could be filed there now; nothing stays of the trial.
     *
     * @throws IOException a {@link PlaceTrouble} where it says what keeps them from it
     */
    void tryIt() throws IOException;
}
