package jalon.core.run;

/**
 * What a person wants of one document at one destination before it is filed.
 *
 * @param page first page of the document: its number in the batch changes when the cut does
 * @param path folder and name below the destination, parts parted by slashes; null: as the stream says
 * @param leftOut why it does not go there; null: it does
 */
public record FilingWish(int page, String destination, String path, String leftOut) {}
