package jalon.server.batch;

import jalon.core.run.FiledBefore;

/** What the archive has; it knows batches, so it is known to them by this only. */
public interface EarlierDocuments {
    FiledBefore outside(long batchId);
}
