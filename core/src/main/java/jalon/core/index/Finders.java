package jalon.core.index;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.mark.Mark;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import jalon.core.read.Phrase;
import jalon.core.stream.Finder;
import jalon.core.stream.Lookalikes;
import jalon.core.stream.Shape;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;

/** Gets readings for a field from a document's pages; one method for each kind of finder. */
final class Finders {
    private final DocumentType type;
    private final Document document;
    private final ZoneReader zones;

    Finders(DocumentType type, Document document, ZoneReader zones) {
        this.type = type;
        this.document = document;
        this.zones = zones;
    }

    List<Reading> find(Finder finder) {
        if (finder instanceof Finder.ByZone zone) {
            return zone(zone);
        } else if (finder instanceof Finder.ByBarcode barcode) {
            return barcode(barcode);
        } else if (finder instanceof Finder.ByShape shape) {
            return shape(shape);
        } else if (finder instanceof Finder.ByLabel label) {
            return label(label);
        } else if (finder instanceof Finder.Inherited inherited) {
            String value = document.inherited().get(inherited.from());
            return value == null || value.isBlank() ? List.of() : List.of(Reading.of(value, 1, 0, null, "inherited"));
        } else if (finder instanceof Finder.Fixed fixed) {
            return List.of(Reading.of(fixed.value(), 1, 0, null, "fixed"));
        }
        throw new IllegalStateException("no way to find by " + finder);
    }

    private List<PageFacts> pages(Finder.Pages which) {
        List<PageFacts> pages = document.pages();
        return switch (which) {
            case FIRST -> pages.subList(0, 1);
            case LAST -> pages.subList(pages.size() - 1, pages.size());
            case ANY -> pages;
        };
    }

    private List<Reading> zone(Finder.ByZone zone) {
        PageFacts page = pages(zone.page()).get(0);
        Fit fit = Fit.of(type.layout(), page);
        Box straight = fit.onStraightPage(zone.boxMm());
        Box reach = straight.grown(0.8);
        List<Word> inside = page.words().stream()
                .filter(w -> reach.holdsCentreOf(fit.lean().toStraight(w.box())))
                .toList();
        UnaryOperator<String> limit = limit(zone.read());
        String text = limit.apply(joined(inside));
        double certainty = Line.certaintyOf(inside) * fit.trust();
        Box placed = inside.isEmpty() ? fit.lean().fromStraight(straight) : Line.boxOf(inside);
        List<String> doubts = new ArrayList<>();
        List<String> others = new ArrayList<>();
        if (fit.trust() < 0.9) {
            doubts.add("the printed words that tell where the zone lies were not found");
        }
        boolean limitBroken = !text.equals(joined(inside));
        boolean stamped = page.image().coloured().stream().anyMatch(placed::overlaps);
        if (inside.isEmpty() || limitBroken || certainty < 0.8 || stamped) {
            // Missing, doubtful or against its limits: the one case in which a zone is looked at again by itself.
            List<Word> again = zones.read(page, fit.lean().fromStraight(straight));
            String second = limit.apply(joined(again));
            double secondCertainty = Line.certaintyOf(again) * fit.trust();
            if (text.isEmpty()) {
                text = second;
                certainty = secondCertainty;
                placed = again.isEmpty() ? placed : Line.boxOf(again);
            } else if (second.equals(text)) {
                // Two readings agree: what is left of the doubt is a third.
                certainty = 1 - (1 - Math.max(certainty, secondCertainty)) / 3;
            } else if (!second.isEmpty()) {
                boolean better = secondCertainty > certainty || stamped;
                others.add(better ? text : second);
                doubts.add("read by itself this says \"" + second + "\", with the page \"" + text + "\"");
                text = better ? second : text;
                certainty = Math.min(certainty, secondCertainty) * 0.8;
            }
        }
        return text.isEmpty()
                ? List.of()
                : List.of(new Reading(text, certainty, page.no(), placed, "zone", doubts, others));
    }

    private static String joined(List<Word> words) {
        return String.join(" ", words.stream().map(Word::text).toList());
    }

    /** What the limits make of a reading: lookalikes become what can stand there, the rest is left for the checks. */
    private static UnaryOperator<String> limit(Finder.Limits limits) {
        if (limits == null || limits.only() == null) {
            return UnaryOperator.identity();
        }
        return switch (limits.only()) {
            case DIGITS -> text -> mapped(text, Lookalikes::digit);
            case CAPITALS -> text -> mapped(text, Lookalikes::capital);
            case CAPITALS_AND_DIGITS -> text -> mapped(text, Character::toUpperCase);
        };
    }

    private interface CharMap {
        char apply(char c);
    }

    private static String mapped(String text, CharMap map) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            out.append(map.apply(text.charAt(i)));
        }
        return out.toString();
    }

    private List<Reading> barcode(Finder.ByBarcode finder) {
        Shape shape = finder.like() == null ? null : Shape.of(finder.like());
        List<PageFacts> looked = new ArrayList<>();
        document.separator().ifPresent(looked::add);
        looked.addAll(pages(finder.page()));
        List<Reading> readings = new ArrayList<>();
        for (PageFacts page : looked) {
            for (Mark m : page.marks()) {
                if (m.kind() == Mark.Kind.BARCODE
                        && (finder.kind() == null || finder.kind().equals(m.symbology()))
                        && (shape == null || shape.fits(m.value()))) {
                    readings.add(Reading.of(m.value(), 0.99, page.no(), m.box(), "barcode"));
                }
            }
        }
        return readings;
    }

    private List<Reading> shape(Finder.ByShape finder) {
        Shape shape = finder.like() == null ? null : Shape.of(finder.like());
        Pattern pattern = shape == null ? Pattern.compile(finder.pattern()) : shape.loosePattern();
        List<Phrase> forbidden =
                finder.notOnLinesWith().stream().map(Phrase::of).toList();
        List<Reading> hits = new ArrayList<>();
        for (PageFacts page : pages(finder.page())) {
            for (Line line : page.lines()) {
                if (forbidden.stream().anyMatch(p -> p.find(line.words()).isPresent())) {
                    continue;
                }
                String text = line.text();
                Matcher m = pattern.matcher(text);
                for (int from = 0; from <= text.length() && m.find(from); from = Math.max(m.end() - 1, from + 1)) {
                    int group = m.groupCount() > 0 ? 1 : 0;
                    List<Word> words = line.wordsAt(m.start(group), m.end(group));
                    if (!words.isEmpty()) {
                        hits.add(hit(m.group(group), words, page, shape));
                    }
                }
            }
        }
        if (shape != null) {
            // Values that have the form as they stand come before those that only look like it.
            hits.sort(Comparator.comparing(
                    (Reading r) -> !shape.fits(r.text()) || !r.doubts().isEmpty()));
        }
        int at = finder.hit() > 0 ? finder.hit() - 1 : hits.size() + finder.hit();
        if (at < 0 || at >= hits.size()) {
            return List.of();
        }
        List<Reading> ordered = new ArrayList<>();
        ordered.add(hits.get(at));
        for (int i = 0; i < hits.size(); i++) {
            if (i != at) {
                ordered.add(hits.get(i));
            }
        }
        return ordered;
    }

    private static Reading hit(String text, List<Word> words, PageFacts page, Shape shape) {
        double certainty = Line.certaintyOf(words);
        Box box = Line.boxOf(words);
        if (shape == null || shape.fits(text)) {
            return Reading.of(text, certainty, page.no(), box, "shape");
        }
        String mended = LookalikeMend.mend(text, shape);
        List<String> doubts = List.of("read as \"" + text + "\", taken for \"" + mended + "\"");
        return new Reading(mended, certainty * 0.75, page.no(), box, "shape", doubts, List.of(text));
    }

    private List<Reading> label(Finder.ByLabel finder) {
        List<Phrase> forbidden =
                finder.notOnLinesWith().stream().map(Phrase::of).toList();
        List<Reading> readings = new ArrayList<>();
        for (PageFacts page : pages(finder.page())) {
            List<Line> lines = page.lines();
            for (Line line : lines) {
                if (forbidden.stream().anyMatch(p -> p.find(line.words()).isPresent())) {
                    continue;
                }
                for (String label : finder.labels()) {
                    Phrase.of(label).find(line.words()).ifPresent(hit -> {
                        List<Word> value = finder.side() == Finder.ByLabel.Side.BESIDE
                                ? line.words()
                                        .subList(
                                                hit.from() + hit.words().size(),
                                                line.words().size())
                                : below(hit.box(), lines);
                        if (!value.isEmpty()) {
                            double certainty = Line.certaintyOf(value) * Math.max(0.7, hit.score());
                            String text = joined(value).replaceFirst("^[:.\\s]+", "");
                            readings.add(Reading.of(text, certainty, page.no(), Line.boxOf(value), "label"));
                        }
                    });
                }
            }
        }
        return readings;
    }

    /** The nearest words under a label: those that begin within its width, on the first line that has any. */
    private static List<Word> below(Box label, List<Line> lines) {
        return lines.stream()
                .map(l -> l.words().stream()
                        .filter(w -> w.box().y() > label.y() + 0.7 * label.height()
                                && w.box().y() < label.bottom() + 12
                                && w.box().right() > label.x() - 2
                                && w.box().x() < label.right() + 40)
                        .toList())
                .filter(l -> !l.isEmpty())
                .min(Comparator.comparingDouble(l -> Line.boxOf(l).y()))
                .orElse(List.of());
    }
}
