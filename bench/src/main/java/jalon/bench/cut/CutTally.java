package jalon.bench.cut;

import jalon.core.read.PageFacts;
import jalon.core.split.Cut;
import jalon.core.split.Stake;
import jalon.core.stream.StreamDefinition;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntFunction;

/** Cuts of many batches held against what is known of them. A batch's first page is no place: one begins there anyhow. */
final class CutTally {
    static final String HEAD = "| what is known | batches | places | stakes | precision | recall | F1 |"
            + " all faults among the doubts | doubts a batch | F1 when settled |\n|" + "---|".repeat(10) + "\n";

    private int batches;
    private int places;
    private int wanted;
    private int set;
    private int right;
    private int settledSet;
    private int settledRight;
    private int asked;
    private int allAsked;
    private final Map<String, Integer> faults = new TreeMap<>();

    /** @param firsts the pages that documents begin with, @param kind what to call a page among the faults */
    void add(StreamDefinition stream, Cut cut, List<PageFacts> pages, Set<Integer> firsts, IntFunction<String> kind) {
        Set<Integer> stakes = new HashSet<>();
        Set<Integer> doubts = new HashSet<>();
        for (Stake s : cut.stakes()) {
            stakes.add(s.page());
            if (stream.cut().asksStake(s.certainty()) && s.page() > 1) {
                doubts.add(s.page());
            }
        }
        for (Stake s : cut.maybe()) {
            if (stream.cut().asksPlace(s.certainty())) {
                doubts.add(s.page());
            }
        }
        boolean all = true;
        for (int p = 2; p <= pages.size(); p++) {
            boolean is = firsts.contains(p);
            boolean said = stakes.contains(p);
            boolean settled = doubts.contains(p) ? is : said;
            places++;
            wanted += is ? 1 : 0;
            set += said ? 1 : 0;
            right += is && said ? 1 : 0;
            settledSet += settled ? 1 : 0;
            settledRight += settled && is ? 1 : 0;
            if (is != said) {
                all &= doubts.contains(p);
                String asks = doubts.contains(p) ? " asked" : " NOT ASKED";
                int no = p;
                String why = cut.stakes().stream()
                        .filter(stake -> stake.page() == no)
                        .map(stake -> " " + stake.evidence().get(0).why())
                        .findFirst()
                        .orElse("");
                faults.merge((is ? "missing " : "wrong ") + kind.apply(p) + asks + why, 1, Integer::sum);
            }
        }
        batches++;
        asked += doubts.size();
        allAsked += all ? 1 : 0;
    }

    /** @param known what the first column says */
    String row(String known) {
        if (System.getenv("SHOW") != null) {
            faults.forEach((k, v) -> System.err.println(known + ": " + k + " " + v));
        }
        double precision = (double) right / Math.max(1, set);
        double recall = (double) right / wanted;
        return String.format(
                Locale.ROOT,
                "| %s | %d | %d | %d | %.4f | %.4f | %.4f | %.3f | %.2f | %.4f |\n",
                known,
                batches,
                places,
                wanted,
                precision,
                recall,
                f1(precision, recall),
                (double) allAsked / batches,
                (double) asked / batches,
                f1((double) settledRight / Math.max(1, settledSet), (double) settledRight / wanted));
    }

    private static double f1(double precision, double recall) {
        return 2 * precision * recall / (precision + recall);
    }
}
