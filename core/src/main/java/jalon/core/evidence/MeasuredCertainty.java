package jalon.core.evidence;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * How often sure was right, and what another limit would mean, as seen on values that people looked at. A value that is sure
 * is looked at rarely, so that each one that was stands for many.
 *
 * @param seen values of one field, filed in the last {@code days}
 */
public record MeasuredCertainty(List<Seen> seen, int days) {
    private static final List<Double> LIMITS = List.of(0.8, 0.9, 0.95, 0.97, 0.98, 0.985, 0.99, 0.995, 0.998, 0.999);
    private static final int DAYS_A_WEEK = 7;

    /**
     * @param filedOn the day it was filed
     * @param sure whether the machine was sure of it
     * @param held whether it would be in doubt under any limit
     * @param right null where nobody looked
     */
    public record Seen(LocalDate filedOn, double certainty, boolean sure, boolean held, Boolean right) {
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

    /** What usual limits would mean and the one in force, the lowest first. */
    public List<Under> limits(double inForce) {
        return DoubleStream.concat(LIMITS.stream().mapToDouble(l -> l), DoubleStream.of(inForce))
                .sorted()
                .distinct()
                .mapToObj(this::under)
                .toList();
    }

    /** @param from its Monday, @param figures of what was filed in it */
    public record Week(LocalDate from, @JsonUnwrapped Figures figures) {}

    /** Week by week, the oldest first. */
    public List<Week> weeks() {
        return seen.stream()
                .collect(Collectors.groupingBy(
                        s -> s.filedOn().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                        TreeMap::new,
                        Collectors.toList()))
                .entrySet()
                .stream()
                .map(week -> new Week(week.getKey(), new MeasuredCertainty(week.getValue(), DAYS_A_WEEK).figures()))
                .toList();
    }

    /** How many sure values each of those stands for that was looked at. */
    private double standsFor() {
        Figures all = figures();
        return all.sureLooked() == 0 ? 1 : all.sure() / (double) all.sureLooked();
    }
}
