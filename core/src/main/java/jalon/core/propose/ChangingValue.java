package jalon.core.propose;

import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.stream.Finder;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * A number of one form on most pages that stays the same over the pages of a paper: the number of a case, a client, a voucher.
 * What has its form and never changes, or never stays, tells nothing.
 */
final class ChangingValue implements CutIdea {
    private static final double TRUST = 0.6;
    private static final double TRUST_OF_ALL = 0.8;
    private static final double ENOUGH = 0.5;

    /** Of the pages that have such a number so many have just one. */
    private static final double ONE_EACH = 0.8;

    /** A number that was gone is back more often than by mistake. */
    private static final double COME_BACK = 1.25;

    /** The number of one paper is on so many of all pages at most. */
    private static final double MOST = 0.6;

    /** Says -1 of what is further apart. */
    private static final LevenshteinDistance SLIPS = new LevenshteinDistance(2);

    private static final int LEAST_DIGITS = 3;
    private static final int LEAST_LENGTH = 5;

    /** As on papers of the last hundred years: a year or a day changes as well. */
    private static final String DAY = "\\d{1,2}[./-]\\d{1,2}[./-](\\d{2}|\\d{4})|\\d{4}-\\d{2}-\\d{2}|(19|20)\\d{2}";

    /** A part of a page where stamps and running heads stand. */
    private enum Band {
        HEAD(0, 0.17),
        FOOT(0.9, 1),
        ALL(0, 1);

        private final double from;
        private final double to;

        Band(double from, double to) {
            this.from = from;
            this.to = to;
        }

        static Band of(Box box, PageFacts page) {
            double at = box.centreY() / page.image().heightMm();
            return at < HEAD.to ? HEAD : at > FOOT.from ? FOOT : ALL;
        }

        /** Null for all of it. */
        Box on(PageFacts page) {
            double height = page.image().heightMm();
            return this == ALL
                    ? null
                    : new Box(
                            0,
                            Math.round(from * height),
                            Math.round(page.image().widthMm()),
                            Math.round((to - from) * height));
        }
    }

    private record Place(String form, Band band) {}

    /** What stands on the pages in one form. */
    private static final class Series {
        private final Map<Integer, Set<String>> values = new LinkedHashMap<>();
        private final Map<Integer, Proposal.Spotted> seen = new LinkedHashMap<>();

        void add(int page, String value, List<Word> words) {
            values.computeIfAbsent(page, p -> new LinkedHashSet<>()).add(value);
            seen.putIfAbsent(page, new Proposal.Spotted(page, Line.boxOf(words), value));
        }

        private List<String> inOrder() {
            return values.values().stream().map(v -> v.iterator().next()).toList();
        }

        int different() {
            return new LinkedHashSet<>(inOrder()).size();
        }

        /** One number on most pages, and the others alone and like it: the same on all of them, misread now and then. */
        private static boolean isMisread(List<String> all) {
            Map<String, Long> on = all.stream().collect(Collectors.groupingBy(v -> v, Collectors.counting()));
            var commonest = Collections.max(on.entrySet(), Map.Entry.comparingByValue());
            return commonest.getValue() > MOST * all.size()
                    && on.keySet().stream()
                            .filter(other -> !other.equals(commonest.getKey()))
                            .allMatch(other -> on.get(other) == 1 && SLIPS.apply(other, commonest.getKey()) >= 0);
        }

        boolean tells(int pages) {
            List<String> all = inOrder();
            long single = values.values().stream().filter(v -> v.size() == 1).count();
            int runs = 1;
            for (int i = 1; i < all.size(); i++) {
                runs += all.get(i).equals(all.get(i - 1)) ? 0 : 1;
            }
            int different = different();
            return all.size() >= ENOUGH * pages
                    && !isMisread(all)
                    && single >= ONE_EACH * all.size()
                    && different > 1
                    && different < all.size()
                    && runs <= COME_BACK * different;
        }
    }

    @Override
    public Optional<Idea> of(Samples samples) {
        Map<Place, Series> forms = new HashMap<>();
        for (PageFacts page : samples.printed()) {
            page.lines().forEach(line -> collect(page, line.words(), forms));
        }
        int pages = samples.printed().size();
        return forms.entrySet().stream()
                .filter(e -> e.getValue().tells(pages))
                .max(Comparator.comparingInt(e ->
                        e.getValue().values.size() * 100 + e.getKey().form().length()))
                .map(e -> idea(samples, e.getKey(), e.getValue(), pages));
    }

    private static void collect(PageFacts page, List<Word> words, Map<Place, Series> forms) {
        for (int i = 0; i < words.size(); i++) {
            one(page, words.subList(i, i + 1), forms);
            if (i + 1 < words.size() && words.get(i).text().length() <= 4) {
                one(page, words.subList(i, i + 2), forms);
            }
        }
    }

    private static void one(PageFacts page, List<Word> words, Map<Place, Series> forms) {
        String value = Line.value(Line.textOf(words));
        boolean number = value.chars().filter(Character::isDigit).count() >= LEAST_DIGITS
                && value.length() >= LEAST_LENGTH
                && value.chars().noneMatch(Character::isLowerCase)
                && value.equals(Line.textOf(words).strip())
                && !value.matches(DAY);
        if (number) {
            Band band = Band.of(Line.boxOf(words), page);
            exactly(value)
                    .ifPresent(form -> Stream.of(band, Band.ALL)
                            .distinct()
                            .forEach(b -> forms.computeIfAbsent(new Place(form, b), f -> new Series())
                                    .add(page.no(), value, words)));
        }
    }

    /** Its digits and capitals counted; of a capital nobody knows yet whether another stands there elsewhere. */
    private static Optional<String> exactly(String value) {
        return ValueShape.of(List.of(value, turned(value)));
    }

    /** The same with other capitals, so that the shape takes any. */
    private static String turned(String value) {
        StringBuilder out = new StringBuilder();
        for (char c : value.toCharArray()) {
            out.append(Character.isUpperCase(c) ? c == 'Q' ? 'W' : 'Q' : c);
        }
        return out.toString();
    }

    private static Idea idea(Samples samples, Place place, Series series, int pages) {
        int on = series.values.size();
        Box where = place.band().on(samples.printed().get(0));
        var finder = new Finder.ByShape(place.form(), null, null, 1, where, false, null, null);
        List<Proposal.Spotted> seen = new ArrayList<>(series.seen.values());
        return new Idea(
                List.of(new StakeRule.ByChange(finder)),
                Proposal.Why.Code.CHANGES.with(on, pages, seen.get(0).value(), series.different()),
                TRUST + TRUST_OF_ALL * on / pages,
                seen);
    }
}
