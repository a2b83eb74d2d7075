package jalon.server.batch;

/**
 * What is known of a batch when it is opened.
 *
 * @param source in words: {@code upload}, {@code folder copier}, {@code mail from ...}
 * @param channelId of a watched folder that goes on adding to it, or null
 * @param by who or what opened it
 * @param mail it came in; its parts are null when it came otherwise
 * @param continues the filed document that it brings more pages for, or null
 */
public record NewBatch(
        String stream,
        String source,
        CameBy channel,
        Long channelId,
        String by,
        Batch.Mail mail,
        Batch.Continued continues) {
    public NewBatch {
        mail = mail == null ? Batch.Mail.NONE : mail;
    }

    public static NewBatch of(String stream, String source, CameBy channel, String by) {
        return new NewBatch(stream, source, channel, null, by, null, null);
    }

    /** The same, with more pages for a filed document. */
    public NewBatch moreOf(Batch.Continued document) {
        String more = source + ", more of " + Batch.no(document.batch());
        return new NewBatch(stream, more, channel, channelId, by, mail, document);
    }
}
