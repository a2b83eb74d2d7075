package jalon.core.evidence;

import java.util.List;

/**
 * How often sure was right, and what another limit would mean, as seen on values that people looked at. A value that is sure
 * is looked at rarely, so that each one that was stands for many.
 *
 * @param seen values of one field, filed in the last {@code days}
 */
public record MeasuredCertainty(List<Seen> seen, int days) {

    /**
     * @param sure whether the machine was sure of it
     * @param held whether it would be in doubt under any limit
     * @param right null where nobody looked
     */
    public record Seen(double certainty, boolean sure, boolean held, Boolean right) {
        boolean looked() {
            return right != null;
        }

        boolean wrong() {
            return looked() && !right;
        }
    }

    /**
     * @param sure values that the machine was sure of
     * @param sureLooked those of them that a person looked at
     * @param sureWrong and that were wrong
     * @param atMost share of wrong ones among the sure, with 97.5 % confidence
     * @param doubts values that it was not sure of
     * @param needless those of them that were right as they stood
     */
    public record Figures(int sure, int sureLooked, int sureWrong, double atMost, int doubts, int needless) {}

    public Figures figures() {
        int sure = (int) seen.stream().filter(Seen::sure).count();
        int looked = (int) seen.stream().filter(s -> s.sure() && s.looked()).count();
        int wrong = (int) seen.stream().filter(s -> s.sure() && s.wrong()).count();
        int doubts = seen.size() - sure;
        int needless = (int)
                seen.stream().filter(s -> !s.sure() && s.looked() && !s.wrong()).count();
        return new Figures(sure, looked, wrong, Bounds.upper(wrong, looked), doubts, needless);
    }

    /**
     * What a limit would mean.
     *
     * @param doubtsADay values that would be shown
     * @param errorsInThousand wrong ones among a thousand that would pass; null where none of those was looked at
     */
    public record Under(double limit, double doubtsADay, Double errorsInThousand) {}

    public Under under(double limit) {
        int doubts = 0;
        double known = 0;
        double wrong = 0;
        double standsFor = standsFor();
        for (Seen s : seen) {
            if (s.held() || s.certainty() < limit) {
                doubts++;
            } else if (s.looked()) {
                double weight = s.sure() ? standsFor : 1;
                known += weight;
                wrong += s.wrong() ? weight : 0;
            }
        }
        return new Under(limit, doubts / (double) Math.max(1, days), known == 0 ? null : 1000 * wrong / known);
    }

    /** How many sure values each of those stands for that was looked at. */
    private double standsFor() {
        Figures all = figures();
        return all.sureLooked() == 0 ? 1 : all.sure() / (double) all.sureLooked();
    }
}
