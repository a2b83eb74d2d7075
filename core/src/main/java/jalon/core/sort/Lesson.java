package jalon.core.sort;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a stream learns from documents whose type people confirmed. A lesson is tried on confirmed documents that it leaves
 * out before it is taken, and what makes more of them come out wrong is not taken.
 *
 * @param samples by which types are known from now on, the oldest first
 * @param refused new ones that made others come out wrong, or by which nothing can be recognised
 * @param undone whether what was learned last came out worse on the new documents than what was known before, and is given up
 * @param tried so many confirmed documents
 * @param rightBefore so many of them came out right by what was known before
 * @param rightNow and by what is known from now on
 */
public record Lesson(
        List<Specimen> samples, List<Specimen> refused, boolean undone, int tried, int rightBefore, int rightNow) {
    /** Enough to see a harm, and few enough to be tried in seconds. */
    private static final int TRIED = 60;

    private static final int FOLDS = 4;

    /** A document's worth of certainty may be lost by chance. */
    private static final double CHANCE = 1;

    /**
     * @param known by which types are known now, the oldest first
     * @param earlier what was known before that was learned; the same when nothing was
     * @param fresh documents confirmed since, the oldest first
     * @param pictures ids of samples that always stay
     */
    public static Lesson next(
            List<Specimen> known, List<Specimen> earlier, List<Specimen> fresh, Set<String> pictures) {
        List<Specimen> useless = SampleFaults.useless(fresh);
        List<Specimen> useful = without(fresh, useless);
        boolean undone = outcome(earlier, useful).worth > outcome(known, useful).worth + CHANCE;
        // A type that is taught for the first time is learned in any case: whatever is like it was known without it.
        List<Specimen> base = new ArrayList<>(undone ? earlier : known);
        Set<String> types = base.stream().map(Specimen::type).collect(Collectors.toSet());
        List<Specimen> more =
                useful.stream().filter(s -> types.contains(s.type())).toList();
        base.addAll(without(useful, more));

        // Those that look like another type to what is known: each would bear the others out, so they bear out nothing.
        LearnedTypes learned = LearnedTypes.of(base);
        List<Specimen> odd = more.stream().filter(s -> isOther(learned, s)).toList();
        Tried tried = Tried.of(base, more, odd);
        List<Specimen> refused = new ArrayList<>(useless);
        if (tried.isWorse()) {
            Tried without = Tried.of(base, without(more, odd), odd);
            refused.addAll(without.isWorse() ? more : odd);
            tried = without.isWorse() ? Tried.of(base, List.of(), odd) : without;
        }
        List<Specimen> all = new ArrayList<>(base);
        all.addAll(without(more, refused));
        return new Lesson(
                KeptSamples.of(all, pictures), refused, undone, tried.documents, tried.before.right, tried.now.right);
    }

    /** @param worth the certainty of what each document is, summed up */
    private record Outcome(int right, double worth) {
        Outcome plus(Outcome other) {
            return new Outcome(right + other.right, worth + other.worth);
        }
    }

    private record Tried(int documents, Outcome before, Outcome now) {
        /**
         * Each document by what is known without it; the newest ones, since they are like what comes next.
         *
         * @param odd not tried
         */
        static Tried of(List<Specimen> base, List<Specimen> fresh, List<Specimen> odd) {
            List<Specimen> all = new ArrayList<>(base);
            all.addAll(fresh);
            List<Specimen> tried = Lesson.without(all, odd);
            List<Specimen> newest = tried.subList(Math.max(0, tried.size() - TRIED), tried.size());
            var before = new Outcome(0, 0);
            var now = new Outcome(0, 0);
            for (int fold = 0; fold < FOLDS; fold++) {
                List<Specimen> out = new ArrayList<>();
                for (int i = fold; i < newest.size(); i += FOLDS) {
                    out.add(newest.get(i));
                }
                if (!out.isEmpty()) {
                    before = before.plus(outcome(Lesson.without(base, out), out));
                    now = now.plus(outcome(Lesson.without(all, out), out));
                }
            }
            return new Tried(newest.size(), before, now);
        }

        boolean isWorse() {
            return now.worth < before.worth - CHANCE;
        }
    }

    private static Outcome outcome(List<Specimen> known, List<Specimen> documents) {
        LearnedTypes types = LearnedTypes.of(known);
        var all = new Outcome(0, 0);
        for (Specimen d : documents) {
            List<Guess> guesses = types.guesses(d.pages().get(0));
            double worth = guesses.stream()
                    .filter(g -> d.type().equals(g.type()))
                    .mapToDouble(Guess::certainty)
                    .sum();
            all = all.plus(new Outcome(d.type().equals(guesses.get(0).type()) ? 1 : 0, worth));
        }
        return all;
    }

    private static boolean isOther(LearnedTypes types, Specimen document) {
        Guess best = types.guesses(document.pages().get(0)).get(0);
        return best.type() != null && !best.type().equals(document.type());
    }

    /** By their ids: comparing what is on their pages would cost more than laying them on each other. */
    private static List<Specimen> without(List<Specimen> all, List<Specimen> some) {
        Set<String> out = some.stream().map(Specimen::id).collect(Collectors.toSet());
        return all.stream().filter(s -> !out.contains(s.id())).toList();
    }
}
