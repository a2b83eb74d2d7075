package jalon.server.batch;

/** Where a batch is. */
public enum Stage {
    intake,
    pages,
    index,
    filing,
    done
}
