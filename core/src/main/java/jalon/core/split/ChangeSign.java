package jalon.core.split;

import jalon.core.evidence.Certainty;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.split.PageKnowledge.Value;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * A value that changes. Values are compared over the whole batch first: one that comes back after another one is not cut at,
 * since mostly the other one was misread; both its ends are doubts.
 */
final class ChangeSign implements StakeSign {
    private final Map<Integer, Sign> signs = new HashMap<>();
    private final Map<Integer, Evidence> against = new HashMap<>();

    /** Pages in a row that carry one value; pages without one between them count as theirs. */
    private static final class Run {
        private final List<PageFacts> pages = new ArrayList<>();
        private final List<Value> values = new ArrayList<>();

        String plain() {
            return Phrase.plain(values.get(0).value());
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
        for (PageFacts page : pages) {
            Value value = knowledge.value(rule, page).orElse(null);
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (value == null) {
                continue;
            }
            if (last == null || !last.plain().equals(Phrase.plain(value.value()))) {
                last = new Run();
                runs.add(last);
            }
            last.pages.add(page);
            last.values.add(value);
        }
        for (int i = 0; i < runs.size(); i++) {
            look(runs, i);
        }
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
        Reason but = null;
        if (comesBack || cameBack) {
            but = Reason.Code.VALUE_COMES_BACK.with(comesBack ? before.shown() : run.shown());
            score = Certainty.VALUE_COMES_BACK;
        } else if (before != null && isMisreading(before, run)) {
            but = Reason.Code.HARDLY_DIFFERS.with(before.shown(), run.shown());
            score = Certainty.HARDLY_DIFFERS;
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
                .map(Sign::evidence);
    }

    @Override
    public Optional<Evidence> against(Place place) {
        return Optional.ofNullable(against.get(place.page().no()));
    }
}
