package jalon.server.archive;

/**
 * A page of an archived document: where it came in.
 *
 * @param batch row of its batch, @param no its number there
 */
public record ArchivePage(long batch, int no) {
    /** @param own batch of the document, which is not written down */
    String written(long own) {
        return batch == own ? Integer.toString(no) : batch + ":" + no;
    }

    static ArchivePage read(String written, long own) {
        int colon = written.indexOf(':');
        return colon < 0
                ? new ArchivePage(own, Integer.parseInt(written))
                : new ArchivePage(
                        Long.parseLong(written.substring(0, colon)), Integer.parseInt(written.substring(colon + 1)));
    }
}
