package jalon.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Figures collected from many pages, and lines of a table made of them. */
public final class Table {
    private final List<String> lines = new ArrayList<>();

    public void title(String title, String... columns) {
        lines.add("");
        lines.add("## " + title);
        lines.add("");
        lines.add("| " + String.join(" | ", columns) + " |");
        lines.add("|" + "---|".repeat(columns.length));
    }

    public void row(Object... cells) {
        List<String> texts = new ArrayList<>();
        for (Object cell : cells) {
            texts.add(cell instanceof Double d ? String.format(Locale.ROOT, "%.3f", d) : String.valueOf(cell));
        }
        String line = "| " + String.join(" | ", texts) + " |";
        lines.add(line);
        System.err.println(line);
    }

    public String text() {
        return String.join("\n", lines) + "\n";
    }

    static double percentile(double[] values, double share) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.round((sorted.length - 1) * share)];
    }

    /** Spearman's rank correlation; ties get their mean rank. */
    static double rankCorrelation(double[] a, double[] b) {
        double[] ra = ranks(a);
        double[] rb = ranks(b);
        double ma = Arrays.stream(ra).average().orElse(0);
        double mb = Arrays.stream(rb).average().orElse(0);
        double ab = 0;
        double aa = 0;
        double bb = 0;
        for (int i = 0; i < ra.length; i++) {
            ab += (ra[i] - ma) * (rb[i] - mb);
            aa += (ra[i] - ma) * (ra[i] - ma);
            bb += (rb[i] - mb) * (rb[i] - mb);
        }
        return ab / Math.sqrt(aa * bb);
    }

    private static double[] ranks(double[] values) {
        Integer[] order = new Integer[values.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, java.util.Comparator.comparingDouble(i -> values[i]));
        double[] ranks = new double[values.length];
        for (int i = 0; i < order.length; ) {
            int j = i;
            while (j < order.length && Double.compare(values[order[j]], values[order[i]]) == 0) {
                j++;
            }
            for (int k = i; k < j; k++) {
                ranks[order[k]] = (i + j - 1) / 2.0;
            }
            i = j;
        }
        return ranks;
    }

    public static String share(long part, long all) {
        return String.format(Locale.ROOT, "%d of %d (%.1f %%)", part, all, 100.0 * part / Math.max(1, all));
    }
}
