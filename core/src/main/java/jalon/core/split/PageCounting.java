package jalon.core.split;

import jalon.core.read.PageNumbering;
import java.util.Arrays;
import java.util.List;

/**
 * Counts pages along with the numbers that they give themselves, of which some are not there and some are misread: how likely
 * a count begins anew at each of them.
 *
 * <p>A hidden Markov model (L. R. Rabiner, "A Tutorial on Hidden Markov Models", Proc. IEEE 77, 1989): the state is the number
 * that a page has in its document, the next page has the next number or begins a document, and what is read of a page says its
 * number or nothing. How often first pages and later ones say nothing is estimated from the batch itself (Baum-Welch).
 */
final class PageCounting {
    private static final int ROUNDS = 3;
    private static final int MOST = 500;

    /** That a document ends with a page, where nothing says so or otherwise. */
    private static final double ENDS = 0.3;

    private static final double ENDS_AFTER_LAST = 0.96;
    private static final double ENDS_BEFORE_LAST = 0.02;

    /** "2 of 3" and "3 of 7" in one document, or a fourth page of three. */
    private static final double OTHER_TOTAL = 0.05;

    /** That its first pages are missing. */
    private static final double BEHEADED = 0.02;

    /** A page that says nothing and is not counted either, such as the terms on a back. */
    private static final double UNCOUNTED = 0.05;

    private static final double READ_RIGHT = 0.97;
    private static final double READ_AS_ANOTHER = 0.002;

    /** As if seen before the batch: two silent of five first pages, one silent of ten later ones. */
    private static final double[] SILENT = {2, 5, 1, 10};

    private final List<PageNumbering> told;
    private final int most;
    private final double[] begins;
    private final double[][] forward;
    private final double[][] fresh;
    private double silentFirst = SILENT[0] / SILENT[1];
    private double silentLater = SILENT[2] / SILENT[3];

    private PageCounting(List<PageNumbering> told) {
        this.told = told;
        int highest =
                told.stream().mapToInt(t -> t == null ? 1 : t.page()).max().orElse(1);
        most = Math.min(MOST, highest + Math.min(told.size(), 50));
        begins = new double[told.size()];
        forward = new double[told.size()][most + 1];
        fresh = new double[told.size()][most + 1];
    }

    /**
     * @param told what each page says in reading order, null for nothing
     * @return for each page the probability that a document begins with it
     */
    static double[] beginnings(List<PageNumbering> told) {
        var counting = new PageCounting(told);
        for (int i = 0; i < ROUNDS && !told.isEmpty(); i++) {
            counting.round();
        }
        return counting.begins;
    }

    private double seen(int i, int number) {
        PageNumbering own = told.get(i);
        if (own == null) {
            return number == 1 ? silentFirst : silentLater;
        }
        double says = own.page() == number ? READ_RIGHT : READ_AS_ANOTHER;
        return says
                * (1 - (number == 1 ? silentFirst : silentLater))
                * (own.of() > 0 && number > own.of() ? OTHER_TOTAL : 1);
    }

    /** That the document ends with this page, if that is its number: a number may be misread, and the total right. */
    private double ends(int i, int number) {
        int of = told.get(i) == null ? 0 : told.get(i).of();
        return of == 0 || number > of ? ENDS : number == of ? ENDS_AFTER_LAST : ENDS_BEFORE_LAST;
    }

    /** How well the totals of this page and the one before agree. */
    private double agrees(int i) {
        PageNumbering before = told.get(i - 1);
        PageNumbering own = told.get(i);
        boolean other = before != null && own != null && before.of() > 0 && own.of() > 0 && before.of() != own.of();
        return other ? OTHER_TOTAL : 1;
    }

    /** How a document that begins here is numbered. */
    private double first(int number) {
        return number == 1 ? 1 - BEHEADED : BEHEADED / (most - 1);
    }

    private void round() {
        forward();
        backward();
    }

    /** How likely each number is for each page by what stands up to it; {@code fresh} where a document begins with it. */
    private void forward() {
        for (int i = 0; i < told.size(); i++) {
            double ended = i == 0 ? 1 : 0;
            for (int k = 1; i > 0 && k <= most; k++) {
                ended += forward[i - 1][k] * ends(i - 1, k);
            }
            double sum = 0;
            for (int k = 1; k <= most; k++) {
                fresh[i][k] = ended * first(k) * seen(i, k);
                forward[i][k] = fresh[i][k] + (i == 0 ? 0 : goneOn(forward[i - 1], i, k));
                sum += forward[i][k];
            }
            for (int k = 1; k <= most; k++) {
                forward[i][k] /= sum;
                fresh[i][k] /= sum;
            }
        }
    }

    /** The same by what stands behind it too, and how often first pages and later ones say nothing. */
    private void backward() {
        double[] behind = new double[most + 1];
        Arrays.fill(behind, 1);
        double[] counts = SILENT.clone();
        for (int i = told.size() - 1; i >= 0; i--) {
            double all = 0;
            double anew = 0;
            for (int k = 1; k <= most; k++) {
                all += forward[i][k] * behind[k];
                anew += fresh[i][k] * behind[k];
            }
            begins[i] = anew / all;
            double one = forward[i][1] * behind[1] / all;
            int silent = told.get(i) == null ? 1 : 0;
            counts[0] += silent * one;
            counts[1] += one;
            counts[2] += silent * (1 - one);
            counts[3] += 1 - one;
            behind = i == 0 ? behind : before(i, behind);
        }
        silentFirst = counts[0] / counts[1];
        silentLater = counts[2] / counts[3];
    }

    /** That the page is number k of a document that began before it; one beyond the highest number stays at that. */
    private double goneOn(double[] before, int i, int k) {
        double from = before[k - 1] * (1 - ends(i - 1, k - 1));
        double stayed = before[k] * (1 - ends(i - 1, k));
        double counted = (k == most ? from + stayed : from) * seen(i, k) * agrees(i);
        return told.get(i) == null ? (1 - UNCOUNTED) * counted + UNCOUNTED * stayed : counted;
    }

    /** What follows from page i on, as it looks from the page before it; up to a factor. */
    private double[] before(int i, double[] behind) {
        double begun = 0;
        for (int k = 1; k <= most; k++) {
            begun += first(k) * seen(i, k) * behind[k];
        }
        double[] earlier = new double[most + 1];
        double highest = 0;
        for (int k = 1; k <= most; k++) {
            int next = Math.min(most, k + 1);
            double ends = ends(i - 1, k);
            double counted = agrees(i) * seen(i, next) * behind[next];
            double on = told.get(i) == null ? (1 - UNCOUNTED) * counted + UNCOUNTED * behind[k] : counted;
            earlier[k] = ends * begun + (1 - ends) * on;
            highest = Math.max(highest, earlier[k]);
        }
        for (int k = 1; k <= most; k++) {
            earlier[k] /= highest;
        }
        return earlier;
    }
}
