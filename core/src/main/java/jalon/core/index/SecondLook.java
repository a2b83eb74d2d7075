package jalon.core.index;

import jalon.core.evidence.Certainty;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.text.Alphabets;
import jalon.core.text.Model;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;

/**
 * A value's place read once more by itself and by another model. The model of a page drops accents silently and is sure of
 * it; the other one has its own mistakes. Where the two differ, a third reading decides.
 */
final class SecondLook {
    private static final double A_WORD = 0.5;

    /** An m read as r and n is one letter more; two more are print. */
    private static final int LETTERS_LOST = 2;

    private static final double WIDER_MM = 0.7;

    /** Letters of Maltese and Esperanto, which the model sees where a plain one is worn. */
    private static final String RARE = "ħĦŧŦġĠċĊĝĜĉĈŝŜĵĴŭŬ";

    /** Letters of a language whose l with a stroke both models take for a t where it is worn. */
    private static final String BESIDE_STROKES = "ąęśźżćńł";

    private final ZoneReader zones;
    private final Document document;

    SecondLook(ZoneReader zones, Document document) {
        this.zones = zones;
        this.document = document;
    }

    /**
     * What may stand at a place.
     *
     * @param certainty the engine's own, of the reading that says so
     * @param look how the other readings agree with it
     */
    record Seen(String text, double certainty, Certainty.Look look) {}

    /**
     * @param seen what may stand there, the likeliest first, at least one
     * @param printLeft whether there is print in its zone that neither reading made a word of
     */
    record Looked(List<Seen> seen, boolean printLeft) {}

    /** @param value what the field makes of a text: readings that come to the same are the same */
    Looked at(Reading reading, UnaryOperator<String> value) {
        PageFacts page = document.page(reading.source().page());
        if (page == null || reading.source().boxMm() == null) {
            return new Looked(List.of(new Seen(reading.text(), reading.seen(), Certainty.Look.NONE)), false);
        }
        Box zone = reading.again().zone();
        List<Word> all = zone == null ? List.of() : zones.read(page, zone, Model.OTHER);
        Box print = reading.source().boxMm();
        boolean left = all.stream().anyMatch(w -> w.isUnread() && !w.box().overlaps(print));
        return new Looked(
                seen(reading, page, all.stream().filter(w -> !w.isUnread()).toList(), value), left);
    }

    /** @param all words of its zone as they are read by themselves; none where it has no zone */
    private List<Seen> seen(Reading reading, PageFacts page, List<Word> all, UnaryOperator<String> value) {
        Seen first = new Seen(reading.text(), reading.seen(), Certainty.Look.OTHER);
        Box print = reading.source().boxMm();
        Box zone = reading.again().zone();
        Seen second = first;
        if (zone != null) {
            second = seen(reading, all);
            if (!same(second, first, value) && all.stream().anyMatch(w -> beside(w, print))) {
                // The page lost a part of the value: what stands in its print's own box is not all.
                return List.of(second, first);
            }
        }
        if (zone == null || !same(second, first, value)) {
            second = seen(reading, read(reading, page, Model.OTHER));
        }
        if (second.text().isEmpty()) {
            boolean same = same(seen(reading, read(reading, page, Model.SAME)), first, value);
            return List.of(as(first, same ? Certainty.Look.MOSTLY : Certainty.Look.NONE));
        }
        if (same(second, first, value)) {
            double surer = Math.max(first.certainty(), second.certainty());
            return List.of(new Seen(first.text(), surer, Certainty.Look.SAME));
        }
        if (accentsOf(second.text(), first.text())) {
            if (!Alphabets.hold(second.text())) {
                return List.of(second, first);
            }
            // Cut a little wider, every letter comes to the model at another size.
            Seen wider = seen(reading, zones.read(page, print.grown(WIDER_MM), Model.OTHER));
            boolean again = same(wider, second, value)
                    && second.text().chars().noneMatch(c -> RARE.indexOf(c) >= 0)
                    && !strokeMayBeLost(second.text());
            return List.of(as(second, again ? Certainty.Look.ACCENTS : Certainty.Look.ACCENTS_ONCE), first);
        }
        Seen third = seen(reading, read(reading, page, Model.SAME));
        if (same(third, first, value)) {
            return List.of(as(first, Certainty.Look.MOSTLY), second);
        }
        boolean agreed = same(third, second, value) || accentsOf(second.text(), third.text());
        if (agreed && second.text().length() + LETTERS_LOST <= first.text().length()) {
            // Both saw the same cut: what the page saw more of may have been lost with it.
            return List.of(second, first);
        }
        if (agreed) {
            return List.of(as(second, Certainty.Look.MOSTLY), first);
        }
        return third.text().isEmpty() ? List.of(second, first) : List.of(second, first, third);
    }

    /** The print itself, part by part where it stands in several. */
    private List<Word> read(Reading reading, PageFacts page, Model model) {
        List<Box> parts = reading.again().parts();
        return (parts.isEmpty() ? List.of(reading.source().boxMm()) : parts)
                .stream()
                        .flatMap(part -> zones.read(page, part, model).stream())
                        .filter(w -> !w.isUnread())
                        .toList();
    }

    private static Seen as(Seen seen, Certainty.Look look) {
        return new Seen(seen.text(), seen.certainty(), look);
    }

    private static boolean same(Seen a, Seen b, UnaryOperator<String> value) {
        return value.apply(a.text()).equals(value.apply(b.text()));
    }

    /** A word that is not all of a value's print: it lies beside it or reaches beyond, and was read well enough to be one. */
    private static boolean beside(Word word, Box print) {
        Box box = word.box();
        double letter = Math.min(box.height(), print.height());
        boolean beyond = box.x() < print.x() - letter || box.right() > print.right() + letter;
        return (beyond || !box.overlaps(print))
                && word.certainty() > A_WORD
                && word.text().codePoints().filter(Character::isLetterOrDigit).count() > 1;
    }

    private static Seen seen(Reading reading, List<Word> words) {
        return new Seen(reading.again().said().apply(words), Line.certaintyOfValue(words), Certainty.Look.OTHER);
    }

    private static boolean strokeMayBeLost(String text) {
        return text.indexOf('t') >= 0
                && text.toLowerCase(Locale.ROOT).chars().anyMatch(c -> BESIDE_STROKES.indexOf(c) >= 0);
    }

    /** Whether the second is the first but for accents: a letter with one was read as one or two without. */
    private static boolean accentsOf(String accented, String plain) {
        StringBuilder pattern = new StringBuilder();
        boolean any = false;
        for (int i = 0; i < accented.length(); i++) {
            char c = accented.charAt(i);
            boolean accent = c > 127 && Character.isLetter(c);
            any |= accent;
            pattern.append(accent ? ".{1,2}" : Pattern.quote(String.valueOf(c)));
        }
        return any && Pattern.matches(pattern.toString(), plain);
    }
}
