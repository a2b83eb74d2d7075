package jalon.core.output;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.page.Sha256;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.NoSuchFileException;

/** Whether a filed file still is what was filed, byte for byte. */
public enum Fixity {
    @JsonProperty("same")
    SAME,
    /** Something lies there that is not what was filed. */
    @JsonProperty("changed")
    CHANGED,
    @JsonProperty("gone")
    GONE,
    /** It was sent away: nobody can look. */
    @JsonProperty("notKept")
    NOT_KEPT;

    /**
     * @param file its path, as the place gave it
     * @param sha256 of what was filed, in hex
     * @throws IOException when the place cannot be asked now
     */
    public static Fixity of(FilingPlace place, String file, String sha256) throws IOException {
        if (!place.keeps()) {
            return NOT_KEPT;
        }
        try (InputStream in = place.open(file)) {
            return Sha256.of(in).equals(sha256) ? SAME : CHANGED;
        } catch (NoSuchFileException e) {
            return GONE;
        }
    }

    /** Whether somebody has to look after it. */
    public boolean isTrouble() {
        return this == CHANGED || this == GONE;
    }
}
