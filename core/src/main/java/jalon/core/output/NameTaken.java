package jalon.core.output;

import java.io.IOException;

/** Another document has this name, and the destination does not number names. */
public final class NameTaken extends IOException {
    private static final long serialVersionUID = 1L;

    /** @param path below the place, without ending */
    public NameTaken(String path) {
        super(path);
    }

    /** Below the place, without ending. */
    public String path() {
        return getMessage();
    }
}
