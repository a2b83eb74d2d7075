package jalon.core.register;

import jalon.core.register.RowMatch.Compared;
import jalon.core.register.RowMatch.Level;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** One column of a register: the keys by which its rows are found, and how its values are held against a paper. */
final class ColumnSearch {
    /** J. Wordsley and Wordsley, J.: initials count where the rest of the name is there. */
    private static final int SHORTEST_TELLING = 4;

    private static final LevenshteinDistance NEARLY = new LevenshteinDistance(2);

    /** Two letters of a longer word may be others. */
    private static final int LONG = 6;

    final String column;
    final ColumnKind kind;
    private final RowIndex index;
    private final int rows;

    ColumnSearch(String column, ColumnKind kind, RowIndex index, int rows) {
        this.column = column;
        this.kind = kind;
        this.index = index;
        this.rows = rows;
    }

    /** The keys that a row with this value is found by. */
    static Collection<String> keys(String column, ColumnKind kind, String value) {
        Set<String> keys = new HashSet<>();
        keys.add(valueKey(column, value));
        switch (kind) {
            case NAME, STREET ->
                words(kind, value).forEach(word -> {
                    keys.add(column + "|" + word);
                    Paper.looks(word).forEach(looks -> keys.add(column + "|" + looks));
                });
            case TELEPHONE -> {
                String digits = Figures.telling(Plain.digits(value));
                keys.add(column + "|" + digits);
                Figures.oneLeftOut(digits).forEach(d -> keys.add(column + "|-" + d));
            }
            case NUMBER -> {
                String plain = Plain.joined(value);
                keys.add(column + "|" + plain);
                Figures.oneLeftOut(plain).forEach(d -> keys.add(column + "|-" + d));
            }
            case DATE -> keys.add(column + "|" + value);
            case TEXT -> {}
        }
        return keys;
    }

    private static String valueKey(String column, String value) {
        return column + "=" + String.join(" ", Plain.tokens(value));
    }

    /** The keys that rows which this paper may be about have. */
    Collection<String> probes(Paper paper) {
        Set<String> keys = new HashSet<>();
        switch (kind) {
            case NAME, STREET -> {
                paper.byPlain.keySet().forEach(word -> keys.add(column + "|" + word));
                paper.byLooks.keySet().forEach(looks -> keys.add(column + "|" + looks));
            }
            case TELEPHONE -> paper.dialled.all().forEach(d -> probe(keys, d));
            case NUMBER -> paper.numbers.all().forEach(n -> probe(keys, n));
            case DATE ->
                paper.days.forEach(day -> {
                    keys.add(column + "|" + day.date());
                    swapped(day.date()).ifPresent(d -> keys.add(column + "|" + d));
                });
            case TEXT -> {}
        }
        return keys;
    }

    private void probe(Set<String> keys, String figures) {
        keys.add(column + "|" + figures);
        Figures.oneLeftOut(figures).forEach(d -> keys.add(column + "|-" + d));
    }

    private static Optional<LocalDate> swapped(LocalDate date) {
        return date.getDayOfMonth() > 12
                ? Optional.empty()
                : Optional.of(LocalDate.of(date.getYear(), date.getDayOfMonth(), date.getMonthValue()));
    }

    /** What is looked for: of an address the street and the house, without the town. */
    private static List<String> words(ColumnKind kind, String value) {
        if (kind != ColumnKind.STREET) {
            return Plain.tokens(value);
        }
        return Arrays.stream(value.split(","))
                .filter(part -> part.chars().anyMatch(Character::isDigit))
                .findFirst()
                .map(Plain::tokens)
                .orElse(Plain.tokens(value));
    }

    /** Nothing is said of a value that the row does not have. */
    Optional<Compared> compared(String value, Paper paper) {
        if (value.isBlank()) {
            return Optional.empty();
        }
        Seen seen = switch (kind) {
            case NAME -> name(Plain.tokens(value), paper);
            case STREET -> street(words(kind, value), paper);
            case TELEPHONE -> figures(Figures.telling(Plain.digits(value)), paper.dialled);
            case NUMBER -> figures(Plain.joined(value), paper.numbers);
            case DATE -> day(value, paper);
            case TEXT -> new Seen(Level.SAME, paper.phrase(Plain.tokens(value)).orElse(null), null);
        };
        if (seen.spot == null) {
            return Optional.of(
                    new Compared(column, Level.ABSENT, 0, null, kind.weights().bitsOfAbsent()));
        }
        double bits = switch (seen.level) {
            case SAME -> kind.weights().bitsOfSame(share(valueKey(column, value)));
            case NEAR -> kind.weights().bitsOfNear(share(valueKey(column, value)));
            case PART -> kind.weights().bitsOfPart(share(column + "|" + seen.part));
            case ABSENT -> kind.weights().bitsOfAbsent();
        };
        return Optional.of(new Compared(column, seen.level, seen.spot.page(), seen.spot.box(), bits));
    }

    private double share(String key) {
        return Math.max(1.0, index.count(key)) / rows;
    }

    /** @param part the word that stands there, where it is all that does */
    private record Seen(Level level, Paper.Spot spot, String part) {
        static final Seen NOT = new Seen(Level.ABSENT, null, null);
    }

    /** All of a name together, in either order; nearly all of it; its longest word. */
    private static Seen name(List<String> wanted, Paper paper) {
        Seen best = Seen.NOT;
        for (String word : wanted) {
            if (word.length() < SHORTEST_TELLING && wanted.stream().anyMatch(w -> w.length() >= SHORTEST_TELLING)) {
                continue;
            }
            for (Paper.Token at : nearby(word, paper)) {
                Level level = around(at, wanted, paper);
                if (level.compareTo(best.level) < 0) {
                    best = new Seen(level, at.spot(), at.plain().equals(word) ? word : null);
                }
            }
        }
        return best.level == Level.PART && best.part == null ? Seen.NOT : best;
    }

    /** How much of a name stands around one of its words. */
    private static Level around(Paper.Token at, List<String> wanted, Paper paper) {
        List<Paper.Token> there = new ArrayList<>(near(at, wanted, paper));
        int same = 0;
        int near = 0;
        for (String word : wanted) {
            if (there.removeIf(t -> t.plain().equals(word))) {
                same++;
            } else if (there.stream().anyMatch(t -> isNear(t, word) || isInitial(t.plain(), word))) {
                near++;
            }
        }
        if (same == wanted.size() && same > 1) {
            return Level.SAME;
        }
        return same + near == wanted.size() && wanted.size() > 1 ? Level.NEAR : Level.PART;
    }

    /** As many words before and behind it as are wanted. */
    private static List<Paper.Token> near(Paper.Token at, List<String> wanted, Paper paper) {
        int from = Math.max(0, at.at() - wanted.size());
        return paper.tokens.subList(from, Math.min(paper.tokens.size(), at.at() + wanted.size() + 1));
    }

    private static boolean isInitial(String there, String word) {
        return there.length() == 1 && word.startsWith(there) || word.length() == 1 && there.startsWith(word);
    }

    private static boolean isNear(Paper.Token there, String word) {
        int shorter = Math.min(there.plain().length(), word.length());
        if (shorter < 3 || Math.abs(there.plain().length() - word.length()) > 2) {
            return false;
        }
        int apart = NEARLY.apply(there.plain(), word);
        return apart >= 0 && apart <= (shorter > LONG ? 2 : 1)
                || there.sound().length() >= 3 && there.sound().equals(Plain.sound(word));
    }

    private static List<Paper.Token> nearby(String word, Paper paper) {
        List<Paper.Token> found = new ArrayList<>(paper.byPlain.getOrDefault(word, List.of()));
        for (String looks : Paper.looks(word)) {
            for (Paper.Token t : paper.byLooks.getOrDefault(looks, List.of())) {
                if (!t.plain().equals(word) && isNear(t, word)) {
                    found.add(t);
                }
            }
        }
        return found;
    }

    private static Seen street(List<String> wanted, Paper paper) {
        List<String> street = new ArrayList<>();
        List<String> house = new ArrayList<>();
        wanted.forEach(w -> (w.chars().anyMatch(Character::isDigit) ? house : street).add(w));
        Seen best = Seen.NOT;
        for (String word : street) {
            if (word.length() < SHORTEST_TELLING) {
                continue;
            }
            for (Paper.Token at : nearby(word, paper)) {
                List<Paper.Token> there = near(at, wanted, paper);
                boolean housed = house.stream().allMatch(h -> has(there, h, false));
                boolean all = street.stream().allMatch(w -> has(there, w, false));
                boolean nearly = housed && !all && street.stream().allMatch(w -> has(there, w, true));
                Level level = housed && all ? Level.SAME : nearly ? Level.NEAR : all ? Level.PART : Level.ABSENT;
                if (level.compareTo(best.level) < 0) {
                    best = new Seen(level, at.spot(), word);
                }
            }
        }
        return best;
    }

    private static boolean has(List<Paper.Token> there, String word, boolean nearly) {
        return there.stream().anyMatch(t -> t.plain().equals(word) || nearly && isNear(t, word));
    }

    private static Seen figures(String wanted, Figures there) {
        return there.same(wanted)
                .map(spot -> new Seen(Level.SAME, spot, null))
                .or(() -> there.near(wanted).map(spot -> new Seen(Level.NEAR, spot, null)))
                .orElse(Seen.NOT);
    }

    private static Seen day(String value, Paper paper) {
        LocalDate wanted;
        try {
            wanted = LocalDate.parse(value);
        } catch (DateTimeParseException e) {
            return Seen.NOT;
        }
        Optional<LocalDate> swapped = swapped(wanted);
        Seen found = Seen.NOT;
        for (Paper.Day day : paper.days) {
            if (day.date().equals(wanted)) {
                return new Seen(Level.SAME, day.spot(), null);
            }
            if (swapped.filter(day.date()::equals).isPresent()) {
                found = new Seen(Level.NEAR, day.spot(), null);
            }
        }
        return found;
    }
}
