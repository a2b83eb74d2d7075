package jalon.core.propose;

import jalon.core.page.Box;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Words in the upper part of some pages and not of the others: the heading of a form, the head of a firm's letters. */
final class FirstWords implements CutIdea {
    private static final double TRUST = 0.45;

    /** Of titles of forms, whatever the pages behind them look like. */
    private static final double TRUST_OF_FORMS = 2.5;

    private static final int MOST_WORDS = 6;

    /** In heights of the page's usual print. */
    private static final double LARGE = 1.25;

    /** So many phrases are looked for on all pages. */
    private static final int LOOKED_FOR = 60;

    private static final int MOST_RULES = 6;

    /** Two pages are alike by chance. */
    private static final int FEWEST = 3;

    /** One more phrase has to make the cut better by this. */
    private static final double BETTER = 0.02;

    private static final int MUCH_LONGER = 3;

    private static final double AROUND_MM = 15;

    /**
     * Words that may begin a paper where they stand in a part of its page.
     *
     * @param pages that they stand on
     * @param title whether they are printed large on most of them
     */
    private record Heading(
            String text, Box where, Set<Integer> pages, double height, boolean title, List<Proposal.Spotted> seen) {}

    /** A cell at the head of a page, and whether it is larger than most print. */
    private record Head(Line cell, boolean large) {}

    @Override
    public Optional<Idea> of(Samples samples) {
        List<Heading> headings = headings(samples);
        List<Heading> forms = forms(samples, headings);
        List<Heading> best = best(samples, headings, forms);
        return best.isEmpty()
                ? Optional.empty()
                : Optional.of(idea(samples, best, forms.isEmpty() ? TRUST : TRUST_OF_FORMS));
    }

    /** Titles whose pages are one form filled in again and again, the commonest first. */
    private static List<Heading> forms(Samples samples, List<Heading> headings) {
        List<Heading> forms = new ArrayList<>();
        Set<Integer> firsts = new HashSet<>();
        headings.stream()
                .filter(h -> h.title() && h.pages().size() >= FEWEST)
                .sorted(Comparator.comparingInt(h -> -h.pages().size()))
                .filter(h -> LikePapers.areOneForm(samples.printed().stream()
                        .filter(p -> h.pages().contains(p.no()))
                        .toList()))
                .forEach(h -> {
                    if (forms.size() < MOST_RULES && firsts.addAll(h.pages())) {
                        forms.add(h);
                    }
                });
        return forms;
    }

    /**
     * Those that agree best with what the pages look like. Beside the titles of forms only those that stand where no form can have
     * gone on to: a form's own pages may be headed too.
     */
    private static List<Heading> best(Samples samples, List<Heading> headings, List<Heading> forms) {
        List<Heading> taken = new ArrayList<>(forms);
        Set<Integer> firsts = new HashSet<>();
        forms.forEach(form -> firsts.addAll(form.pages()));
        double best = forms.isEmpty() ? Double.NEGATIVE_INFINITY : samples.agreement(firsts, Set.of());
        Set<Integer> others = forms.isEmpty() ? pages(samples) : behindNoForm(samples, firsts);
        while (taken.size() < MOST_RULES) {
            Heading next = headings.stream()
                    .filter(h -> !taken.contains(h) && others.containsAll(h.pages()))
                    .filter(h -> taken.isEmpty() || more(h, firsts) >= FEWEST)
                    .max(Comparator.comparingDouble((Heading h) -> agreement(samples, firsts, h))
                            .thenComparingDouble(Heading::height))
                    .orElse(null);
            if (next == null || agreement(samples, firsts, next) < best + BETTER) {
                break;
            }
            best = agreement(samples, firsts, next);
            taken.add(next);
            firsts.addAll(next.pages());
        }
        return taken;
    }

    private static long more(Heading heading, Set<Integer> firsts) {
        return heading.pages().stream().filter(no -> !firsts.contains(no)).count();
    }

    private static Set<Integer> pages(Samples samples) {
        return samples.printed().stream().map(PageFacts::no).collect(Collectors.toSet());
    }

    /** Pages before the first form, and those in a run that is much longer than a form of the stack is. */
    private static Set<Integer> behindNoForm(Samples samples, Set<Integer> forms) {
        List<List<Integer>> runs = new ArrayList<>(List.of(new ArrayList<>()));
        for (PageFacts page : samples.printed()) {
            if (forms.contains(page.no())) {
                runs.add(new ArrayList<>());
            } else {
                runs.get(runs.size() - 1).add(page.no());
            }
        }
        int[] lengths = runs.stream().skip(1).mapToInt(List::size).sorted().toArray();
        int usual = lengths[lengths.length / 2];
        Set<Integer> others = new HashSet<>(runs.get(0));
        runs.stream()
                .skip(1)
                .filter(run -> run.size() > MUCH_LONGER * (usual + 1))
                .forEach(others::addAll);
        return others;
    }

    private static double agreement(Samples samples, Set<Integer> firsts, Heading more) {
        Set<Integer> all = new HashSet<>(firsts);
        all.addAll(more.pages());
        return samples.agreement(all, Set.of());
    }

    private static Idea idea(Samples samples, List<Heading> taken, double trust) {
        List<StakeRule> rules = taken.stream()
                .map(h -> (StakeRule) new StakeRule.ByWords(List.of(h.text()), null, null, h.where(), null, null, null))
                .toList();
        long firsts = taken.stream().flatMap(h -> h.pages().stream()).distinct().count();
        return new Idea(
                rules,
                Proposal.Why.Code.FIRST_WORDS.with(
                        firsts, samples.printed().size(), taken.get(0).text()),
                trust,
                taken.stream().flatMap(h -> h.seen().stream()).toList());
    }

    /** Phrases on at least two pages and not on all, at each place that they have. */
    private static List<Heading> headings(Samples samples) {
        Map<String, List<Head>> printed = new HashMap<>();
        for (PageFacts page : samples.printed()) {
            Set<String> here = new HashSet<>();
            double usual = usual(page);
            for (Line cell : Headings.on(page, MOST_WORDS)) {
                String plain = Phrase.plain(cell.text());
                if (here.add(plain)) {
                    boolean title = Headings.height(cell) >= LARGE * usual;
                    printed.computeIfAbsent(plain, p -> new ArrayList<>()).add(new Head(cell, title));
                }
            }
        }
        return printed.values().stream()
                .filter(heads -> heads.size() > 1)
                .sorted(Comparator.comparingDouble(heads -> -heads.size() * height(heads)))
                .limit(LOOKED_FOR)
                .flatMap(heads -> places(heads, samples.printed().get(0)).map(at -> heading(samples, heads, at)))
                .filter(h -> h.pages().size() > 1
                        && h.pages().size() < samples.printed().size())
                .toList();
    }

    private static double usual(PageFacts page) {
        double[] heights = page.words().stream()
                .mapToDouble(w -> w.box().height())
                .sorted()
                .toArray();
        return heights.length == 0 ? 0 : heights[heights.length / 2];
    }

    private static double height(List<Head> heads) {
        return heads.stream()
                .mapToDouble(h -> Headings.height(h.cell()))
                .average()
                .orElse(0);
    }

    /**
     * Where a paper that is headed by it has it, or anywhere where that is not known: a town in the letterhead may be filled in on the
     * form too.
     */
    private static Stream<Box> places(List<Head> heads, PageFacts page) {
        List<List<Box>> places = new ArrayList<>();
        for (Head head : heads) {
            Box box = head.cell().box();
            places.stream()
                    .filter(place -> place.stream().anyMatch(b -> isAt(b, box)))
                    .findFirst()
                    .ifPresentOrElse(place -> place.add(box), () -> places.add(new ArrayList<>(List.of(box))));
        }
        if (places.stream().allMatch(place -> place.size() < FEWEST)) {
            return Stream.of(Headings.where(page));
        }
        return places.stream()
                .filter(place -> place.size() > 1)
                .map(place -> place.stream().reduce(Box::union).orElseThrow())
                .map(place -> Headings.around(place.grown(AROUND_MM), page));
    }

    private static boolean isAt(Box a, Box b) {
        return Math.abs(a.x() - b.x()) < Samples.FED_APART_MM
                && Math.abs(a.centreY() - b.centreY()) < Samples.FED_APART_MM;
    }

    private static Heading heading(Samples samples, List<Head> heads, Box where) {
        String text = Line.value(heads.get(0).cell().text());
        Phrase phrase = Phrase.of(text);
        Set<Integer> pages = new HashSet<>();
        List<Proposal.Spotted> seen = new ArrayList<>();
        for (PageFacts page : samples.printed()) {
            phrase.find(page.words(), where).ifPresent(hit -> {
                pages.add(page.no());
                seen.add(new Proposal.Spotted(page.no(), hit.box(), null));
            });
        }
        boolean title = heads.stream().filter(Head::large).count() * 2 > heads.size();
        return new Heading(text, where, pages, height(heads), title, seen);
    }
}
