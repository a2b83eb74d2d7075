package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.split.PageKnowledge.Value;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * A value that changes. Values are compared over the whole batch first: one that comes back after another one is not cut at,
 * since mostly the other one was misread; both its ends are doubts.
 */
final class ChangeSign implements StakeSign {
    private static final String LETTERS = "OISBZG";
    private static final String DIGITS = "015826";

    private final Map<Integer, Sign> signs = new HashMap<>();
    private final Map<Integer, Evidence> against = new HashMap<>();

    /** What speaks for pages that may begin a document though their value was not read. */
    private final Map<Integer, Evidence> early = new HashMap<>();

    /** Pages behind the first of a value up to its last one, and how many of them have it too. */
    private int between;

    private int repeated;

    /** Pages in a row that carry one value; pages without one between them count as theirs. */
    private static final class Run {
        private final List<PageFacts> pages = new ArrayList<>();
        private final List<Value> values = new ArrayList<>();
        private final List<PageFacts> before;

        /** @param before pages without a value between the last one and this */
        Run(List<PageFacts> before) {
            this.before = before;
        }

        String plain() {
            return folded(values.get(0).value());
        }

        String shown() {
            return values.get(0).value();
        }

        PageFacts first() {
            return pages.get(0);
        }
    }

    /** @param pages those that are in the flow */
    ChangeSign(StakeRule.ByChange rule, PageKnowledge knowledge, List<PageFacts> pages) {
        List<Run> runs = new ArrayList<>();
        List<PageFacts> silent = new ArrayList<>();
        for (PageFacts page : pages) {
            Value value = knowledge.value(rule, page).orElse(null);
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (value == null) {
                silent.add(page);
                continue;
            }
            if (last == null || !last.plain().equals(folded(value.value()))) {
                last = new Run(last == null ? List.of() : silent);
                runs.add(last);
            } else {
                between += silent.size() + 1;
                repeated++;
            }
            silent = new ArrayList<>();
            last.pages.add(page);
            last.values.add(value);
        }
        for (int i = 0; i < runs.size(); i++) {
            look(runs, i);
        }
        List<Box> places = runs.stream()
                .flatMap(run -> run.values.stream())
                .map(Value::box)
                .filter(Objects::nonNull)
                .toList();
        pages.stream().filter(page -> !hasValue(runs, page)).forEach(page -> unread(page, places));
    }

    private static boolean hasValue(List<Run> runs, PageFacts page) {
        return runs.stream().anyMatch(run -> run.pages.contains(page));
    }

    /** Where most pages have the value, this one has figures that are none: it may be a new one that could not be read. */
    private void unread(PageFacts page, List<Box> places) {
        for (Word word : page.words()) {
            Box box = word.box();
            long same = places.stream().filter(box::overlaps).count();
            if (same * 2 > places.size() && word.text().chars().anyMatch(Character::isDigit)) {
                Reason why = Reason.Code.VALUE_UNREAD.with(word.text());
                early.put(
                        page.no(), new Evidence(Evidence.Rule.CHANGE, page.no(), box, why, Certainty.VALUE_COMES_BACK));
            }
        }
    }

    /**
     * That a page before a new value belongs to it and its own could not be read: of pages in general a few cannot, and as
     * many as between pages of one value say nothing anyway. Where later pages never have the value it is hardly ever so.
     */
    private double strayed() {
        double silentAnyway = 1 - (double) repeated / (between + 2);
        return Certainty.VALUE_NOT_READ / (Certainty.VALUE_NOT_READ + silentAnyway);
    }

    private void look(List<Run> runs, int i) {
        Run run = runs.get(i);
        PageFacts page = run.first();
        Value value = run.values.get(0);
        Run before = i == 0 ? null : runs.get(i - 1);
        boolean comesBack =
                i + 1 < runs.size() && before != null && runs.get(i + 1).plain().equals(before.plain());
        boolean cameBack = i > 1 && runs.get(i - 2).plain().equals(run.plain());
        Reason why = before == null
                ? Reason.Code.FIRST_VALUE.with(run.shown())
                : Reason.Code.NEW_VALUE.with(before.shown(), run.shown());
        double score = Math.min(Certainty.NEW_VALUE, before == null ? 1 : value.certainty());
        if (before != null && before.pages.size() == 1) {
            // What stands on one page alone may itself be the misreading.
            score = Math.min(score, before.values.get(0).certainty());
        }
        Reason but = null;
        if (comesBack || cameBack) {
            but = Reason.Code.VALUE_COMES_BACK.with(comesBack ? before.shown() : run.shown());
            score = Certainty.VALUE_COMES_BACK;
        } else if (before != null && isMisreading(before, run)) {
            but = Reason.Code.HARDLY_DIFFERS.with(before.shown(), run.shown());
            score = Certainty.HARDLY_DIFFERS;
        }
        if (but == null && !run.before.isEmpty()) {
            double strayed = strayed();
            score = Math.min(score, 1 - strayed);
            Reason perhaps = Reason.Code.VALUE_BEGINS_BEHIND.with(run.shown());
            run.before.forEach(
                    p -> early.put(p.no(), new Evidence(Evidence.Rule.CHANGE, p.no(), null, perhaps, strayed)));
        }
        signs.put(
                page.no(),
                new Sign(
                        comesBack || cameBack ? null : StakeRule.Opens.DOCUMENT,
                        StakeRule.Sheet.KEPT,
                        0,
                        new Evidence(Evidence.Rule.CHANGE, page.no(), value.box(), why, score)));
        if (but != null) {
            against.put(page.no(), new Evidence(Evidence.Rule.CHANGE, page.no(), value.box(), but, score));
        }
    }

    /** A letter and the digit that it is read as are one: values of one form have either at a place, never both. */
    private static String folded(String value) {
        String plain = Phrase.plain(value).toUpperCase(Locale.ROOT);
        StringBuilder folded = new StringBuilder();
        for (char c : plain.toCharArray()) {
            int at = LETTERS.indexOf(c);
            folded.append(at < 0 ? c : DIGITS.charAt(at));
        }
        return folded.toString();
    }

    /** One page with a value a letter away from the one before, which it was hard to read. */
    private static boolean isMisreading(Run before, Run run) {
        return run.pages.size() == 1
                && run.values.get(0).certainty() < Certainty.NEW_VALUE
                && new LevenshteinDistance(1).apply(before.plain(), run.plain()) == 1;
    }

    @Override
    public Optional<Sign> on(Place place) {
        return Optional.ofNullable(signs.get(place.page().no())).filter(Sign::begins);
    }

    @Override
    public Optional<Evidence> maybe(Place place) {
        return Optional.ofNullable(signs.get(place.page().no()))
                .filter(s -> !s.begins())
                .map(Sign::evidence)
                .or(() -> Optional.ofNullable(early.get(place.page().no())));
    }

    @Override
    public Optional<Evidence> against(Place place) {
        return Optional.ofNullable(against.get(place.page().no()));
    }
}
