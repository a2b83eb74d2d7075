package jalon.core.run;

import jalon.core.stream.Finder;
import java.util.Map;

/**
 * What is known of a batch beside its pages.
 *
 * @param inherited what fields may inherit
 * @param expectedPages as typed by a person, or null; what a batch header sheet says counts where nobody typed
 * @param filed documents that were filed with other batches
 */
public record BatchContext(
        Map<Finder.Inherited.From, String> inherited,
        Integer expectedPages,
        Integer expectedDocuments,
        FiledBefore filed) {
    public static final BatchContext NOTHING = new BatchContext(Map.of(), null, null, FiledBefore.NOTHING);

    public BatchContext {
        inherited = Map.copyOf(inherited);
    }
}
