package jalon.core.page;

/** The largest page and the longest file taken, checked before anything is decoded: a few kB can ask for gigabytes. */
final class PageSize {
    /** A0 at 300 dpi is 140 million pixels; in colour that is 420 MB, which one worker can hold. */
    static final long MOST_PIXELS = 150_000_000;

    /** More in one file would be a mistake: a feeder holds hundreds of sheets. */
    static final int MOST_PAGES = 20_000;

    private PageSize() {}

    static void check(long width, long height) throws UnreadableFile {
        if (width < 1 || height < 1) {
            throw new UnreadableFile(Unread.Code.NO_SIZE.with(width, height));
        }
        if (width * height > MOST_PIXELS || Math.max(width, height) > 60_000) {
            throw new UnreadableFile(Unread.Code.TOO_LARGE.with(width, height, MOST_PIXELS / 1_000_000));
        }
    }
}
