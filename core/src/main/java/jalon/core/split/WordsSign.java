package jalon.core.split;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.evidence.Evidence;
import jalon.core.evidence.Reason;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.StakeRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Words that stand, or must not stand, on first pages; or on last ones, behind which the next document begins. */
final class WordsSign implements StakeSign {
    private final StakeRule.ByWords rule;
    private final List<Phrase> must;
    private final List<Phrase> mustNot;
    private final Pattern pattern;

    WordsSign(StakeRule.ByWords rule) {
        this.rule = rule;
        this.must = rule.must().stream().map(Phrase::of).toList();
        this.mustNot = rule.mustNot().stream().map(Phrase::of).toList();
        this.pattern = rule.pattern() == null ? null : Pattern.compile(rule.pattern());
    }

    @Override
    public Optional<Sign> on(Place place) {
        boolean onLast = rule.on() == StakeRule.ByWords.On.LAST;
        PageFacts page = onLast ? place.inFlow() : place.page();
        return page == null ? Optional.empty() : on(page, onLast);
    }

    private Optional<Sign> on(PageFacts page, boolean onLast) {
        List<Word> words = page.words();
        List<Phrase.Hit> hits = new ArrayList<>();
        for (Phrase phrase : must) {
            Optional<Phrase.Hit> hit = phrase.find(words, rule.where());
            if (hit.isEmpty()) {
                return Optional.empty();
            }
            hits.add(hit.get());
        }
        if (mustNot.stream().anyMatch(p -> p.find(words, rule.where()).isPresent())) {
            return Optional.empty();
        }
        double score = hits.stream().mapToDouble(Phrase.Hit::score).min().orElse(1);
        Box box = hits.isEmpty() ? null : hits.get(0).box();
        String text = String.join(", ", rule.must());
        if (pattern != null) {
            Optional<Line> line = page.lines().stream()
                    .filter(l -> rule.where() == null || rule.where().holdsCentreOf(l.box()))
                    .filter(l -> pattern.matcher(l.text()).find())
                    .findFirst();
            if (line.isEmpty()) {
                return Optional.empty();
            }
            Matcher m = pattern.matcher(line.get().text());
            m.find();
            List<Word> found = line.get().wordsAt(m.start(), m.end());
            score = Math.min(score, Line.certaintyOf(found));
            box = found.isEmpty() ? box : Line.boxOf(found);
            text = m.group();
        }
        Reason why = (onLast ? Reason.Code.LAST_PAGE_WORDS : Reason.Code.WORDS).with(text);
        return Optional.of(new Sign(
                rule.opens(),
                onLast ? StakeRule.Sheet.KEPT : rule.sheet(),
                0,
                new Evidence(Evidence.Rule.WORDS, page.no(), box, why, score)));
    }
}
