package jalon.server.batch;

/** Work to be done by any worker, put down in the transaction that makes it necessary. */
public interface WorkQueue {
    /** Read all pages of a file, a few at a time. */
    void readFile(long fileId, int pages);

    /** Read one page again, as it is turned now. */
    void readAgain(long fileId, int filePage);

    /** Read one page that could not be read, with more time than usual. */
    void readPatiently(long fileId, int filePage);

    /** See whether a batch can leave intake. */
    void advance(long batchId);

    /** Learn what was confirmed of a stream's types since. */
    void learn(String stream);

    /** The same, for a batch that is to be recognised by it. */
    void learn(String stream, long batchId);

    /** File a batch that waits for nobody. */
    void file(long batchId);

    /** Tell by mail what became of a batch. */
    void report(long batchId);

    /** Look whether a batch's files still lie where they were filed. */
    void checkFiled(long batchId);

    /** Erase what lies together with a document, as a supervisor said; once more where not all of it could be before. */
    void erase(long keptId);

    /** Hold a draft against the next batch that people confirmed. @param no of the asking */
    void replay(String stream, int no);

    /** Carry out one delivery now, though it may wait for a later try. */
    void deliver(long deliveryId);

    /** Has a delivery not carried out any more. @return false when it is being carried out at this moment */
    boolean giveUp(long deliveryId);

    /** Has a delivery that waits for another tried now; one that is under way finds out by itself. */
    void wake(long deliveryId);
}
