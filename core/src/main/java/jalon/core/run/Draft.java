package jalon.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;

/**
 * A document as its pages lie, before its type and fields are known.
 *
 * @param no from 1, in reading order
 * @param separator the sheet dropped before it, or null
 * @param group the page or sheet that the last group before it began with, or null
 * @param pages numbers of its pages, in reading order
 */
record Draft(int no, DecidedBatch.Planted stake, Integer separator, Integer group, List<Integer> pages) {
    /** Walks the line, saying of each page what it is; a stake on a page out of the flow counts for the next page in it. */
    static List<Draft> along(
            DecidedBatch desk, List<BatchView.PageView> shown, IntFunction<BatchView.ImageView> image) {
        List<Draft> drafts = new ArrayList<>();
        DecidedBatch.Planted waiting = null;
        Integer separator = null;
        Integer group = null;
        for (int no : desk.order()) {
            group = desk.groups().containsKey(no) ? Integer.valueOf(no) : group;
            DecidedBatch.Planted own = desk.stakes().get(no);
            waiting = own != null ? own : waiting;
            DecidedBatch.Aside aside = desk.aside().get(no);
            if (aside != null) {
                shown.add(new BatchView.PageView(no, aside.role(), null, aside.by(), image.apply(no), desk.flag(no)));
                separator = aside.role() == BatchView.Role.SEPARATOR && own != null ? Integer.valueOf(no) : separator;
                continue;
            }
            if (waiting != null || drafts.isEmpty()) {
                DecidedBatch.Planted stake = waiting != null ? waiting : DecidedBatch.Planted.first(no);
                drafts.add(new Draft(drafts.size() + 1, stake, separator, group, new ArrayList<>()));
                waiting = null;
                separator = null;
            }
            Draft current = drafts.get(drafts.size() - 1);
            current.pages.add(no);
            shown.add(new BatchView.PageView(
                    no, BatchView.Role.CONTENT, current.no, null, image.apply(no), desk.flag(no)));
        }
        return drafts;
    }
}
