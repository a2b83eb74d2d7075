package jalon.core.split;

import jalon.core.read.PageFacts;
import jalon.core.stream.StreamDefinition;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The pages of a batch as sheets: which are blank, and which are the backs of others. */
final class BatchPages {
    private final Map<Integer, Integer> at = new HashMap<>();
    private final Set<Integer> blank = new HashSet<>();
    private final Set<Integer> backs = new HashSet<>();
    private final List<PageFacts> pages;
    private final boolean duplex;

    BatchPages(StreamDefinition stream, List<PageFacts> pages) {
        this.pages = pages;
        this.duplex = stream.cut().duplex();
        int sides = 0;
        for (int i = 0; i < pages.size(); i++) {
            PageFacts page = pages.get(i);
            at.put(page.no(), i);
            if (Cutter.isBlank(stream, page)) {
                blank.add(page.no());
            }
            // Files of one page each are the sides of one feeding; a file of several begins with a front.
            boolean alone = page.filePage() == 1
                    && (i + 1 == pages.size() || pages.get(i + 1).filePage() == 1);
            sides = alone ? sides + 1 : 0;
            int side = alone ? sides : page.filePage();
            if (duplex && side % 2 == 0) {
                backs.add(page.no());
            }
        }
    }

    boolean isBlank(PageFacts page) {
        return blank.contains(page.no());
    }

    boolean isBack(PageFacts page) {
        return backs.contains(page.no());
    }

    /** Whether a blank sheet ends with this page: with duplex, whether its front is blank too. */
    boolean endsBlankSheet(PageFacts page) {
        int i = at.get(page.no());
        return isBlank(page) && (!duplex || isBack(page) && i > 0 && isBlank(pages.get(i - 1)));
    }

    /** The front of the sheet that this is the back of, or null. */
    PageFacts frontOf(PageFacts page) {
        int i = at.get(page.no());
        return isBack(page) && i > 0 ? pages.get(i - 1) : null;
    }
}
