package jalon.core.output;

import java.io.IOException;

/** A folder or name is longer than the place takes; trying again does not help. */
public final class NameTooLong extends IOException {
    private static final long serialVersionUID = 1L;

    /** @param path below the place */
    public NameTooLong(String path) {
        super(path);
    }
}
