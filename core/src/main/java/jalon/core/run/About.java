package jalon.core.run;

import jalon.core.stream.Finder;
import java.util.Map;

/**
 * What is known of a batch beside its pages.
 *
 * @param inherited what fields may inherit
 * @param expectedPages as typed by a person, or null; what a batch header sheet says counts where nobody typed
 */
public record About(Map<Finder.Inherited.From, String> inherited, Integer expectedPages, Integer expectedDocuments) {
    public static final About NOTHING = new About(Map.of(), null, null);

    public About {
        inherited = Map.copyOf(inherited);
    }
}
