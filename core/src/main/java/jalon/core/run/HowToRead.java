package jalon.core.run;

import jalon.core.image.Repair;
import jalon.core.read.HowToReadPage;
import jalon.core.read.PageFacts;
import jalon.core.stream.PageRules;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What people and the stream say of how the pages of a batch are read: turned, and through which repairs. */
public final class HowToRead {
    private final Map<Integer, Integer> turns = new HashMap<>();
    private final Map<Integer, List<Repair>> recipes = new HashMap<>();
    private final PageRules rules;

    private HowToRead(PageRules rules) {
        this.rules = rules;
    }

    /** @param decisions in the order they were made */
    public static HowToRead of(PageRules rules, List<Decision> decisions) {
        var how = new HowToRead(rules);
        for (Decision decision : decisions) {
            if (decision instanceof Decision.Turn t) {
                how.turns.put(t.page(), Math.floorMod(t.rotation(), 360));
            } else if (decision instanceof Decision.RepairPage r && r.recipe() != null) {
                how.recipes.put(r.page(), r.recipe());
            } else if (decision instanceof Decision.RepairPage r) {
                how.recipes.remove(r.page());
            }
        }
        return how;
    }

    /** The clockwise turn that makes a page upright, or null to find out. */
    public Integer turn(int page) {
        return turns.get(page);
    }

    /** The recipe in force: by hand, or those of the stream's steps that the page needs. */
    public List<Repair> recipe(PageFacts page) {
        List<Repair> own = recipes.get(page.no());
        return own != null ? own : Repair.needed(rules.repairs(), page.image());
    }

    /** How the page is read; steps that it does not need are left out then. */
    public HowToReadPage page(int page) {
        List<Repair> recipe = rules.repairFor().reading() ? recipes.getOrDefault(page, rules.repairs()) : List.of();
        return new HowToReadPage(turns.get(page), recipe, rules.barcodes());
    }
}
