package jalon.core.register;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jalon.core.page.Box;
import jalon.core.page.Word;
import jalon.core.read.Line;
import jalon.core.read.PageFacts;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** What stands on the pages of a document, as rows of a register are looked for in it. */
public final class Paper {
    private static final Pattern DIALLED = Pattern.compile("[+(]?\\d[\\d ()/.–-]{4,18}\\d");
    private static final int MOST_JOINED = 3;
    private static final int LONGEST_NUMBER = 20;
    private static final int PREFIX = 4;
    private static final LevenshteinDistance NEARLY = new LevenshteinDistance(2);

    /** Two letters of a longer word may be others. */
    private static final int LONG = 6;

    private static final int SHORTEST_NEAR = 3;

    /** Where something stands. */
    record Spot(int page, Box box) {}

    /** @param at its place in the order of reading, by one for each */
    record Token(String plain, String sound, Spot spot, int at) {
        /** Whether it may be that word misread, or spelled as it sounds. */
        boolean isNear(String word) {
            int shorter = Math.min(plain.length(), word.length());
            if (shorter < SHORTEST_NEAR || Math.abs(plain.length() - word.length()) > 2) {
                return false;
            }
            int apart = NEARLY.apply(plain, word);
            return apart >= 0 && apart <= (shorter > LONG ? 2 : 1)
                    || sound.length() >= SHORTEST_NEAR && sound.equals(Plain.sound(word));
        }
    }

    record Day(LocalDate date, Spot spot) {}

    final List<Token> tokens = new ArrayList<>();
    final Map<String, List<Token>> byPlain = new HashMap<>();
    /** Tokens by how they begin, end and sound. */
    final Map<String, List<Token>> byLooks = new HashMap<>();

    final Figures dialled = new Figures();
    final Figures numbers = new Figures();
    final List<Day> days = new ArrayList<>();

    private Paper() {}

    /** @param dates all dates in a line, in any spelling */
    public static Paper of(List<PageFacts> pages, Function<String, List<LocalDate>> dates) {
        var paper = new Paper();
        for (PageFacts page : pages) {
            for (Line line : page.lines()) {
                paper.add(page.no(), line, dates);
            }
        }
        return paper;
    }

    private void add(int page, Line line, Function<String, List<LocalDate>> dates) {
        String text = line.text();
        Matcher m = DIALLED.matcher(text);
        while (m.find()) {
            String digits = Plain.digits(m.group());
            if (digits.length() >= Figures.LEAST_DIALLED) {
                dialled.add(Figures.telling(digits), new Spot(page, Line.boxOf(line.wordsAt(m.start(), m.end()))));
            }
        }
        dates.apply(text).forEach(d -> days.add(new Day(d, new Spot(page, line.box()))));
        List<Word> words = line.words();
        for (int i = 0; i < words.size(); i++) {
            var spot = new Spot(page, words.get(i).box());
            for (String plain : Plain.tokens(words.get(i).text())) {
                add(new Token(plain, Plain.sound(plain), spot, tokens.size()));
            }
            StringBuilder joined = new StringBuilder();
            for (int k = i; k < Math.min(words.size(), i + MOST_JOINED); k++) {
                joined.append(Plain.joined(words.get(k).text()));
                boolean number = joined.chars().anyMatch(Character::isDigit);
                if (number && joined.length() <= LONGEST_NUMBER) {
                    numbers.add(joined.toString(), new Spot(page, Line.boxOf(words.subList(i, k + 1))));
                }
            }
        }
    }

    private void add(Token token) {
        tokens.add(token);
        byPlain.computeIfAbsent(token.plain, p -> new ArrayList<>()).add(token);
        for (String looks : looks(token.plain)) {
            byLooks.computeIfAbsent(looks, p -> new ArrayList<>()).add(token);
        }
    }

    /** How a word begins, how it ends and how it sounds: of one that is nearly it one of them is the same. */
    static List<String> looks(String plain) {
        List<String> looks = new ArrayList<>();
        if (plain.length() > PREFIX) {
            looks.add("<" + plain.substring(0, PREFIX));
            looks.add(">" + plain.substring(plain.length() - PREFIX));
        }
        String sound = Plain.sound(plain);
        if (sound.length() >= SHORTEST_NEAR) {
            looks.add("=" + sound);
        }
        return looks;
    }

    /** Where a word stands, or one that it may have been read as. */
    List<Token> nearly(String word) {
        List<Token> found = new ArrayList<>(byPlain.getOrDefault(word, List.of()));
        for (String looks : looks(word)) {
            for (Token t : byLooks.getOrDefault(looks, List.of())) {
                if (!t.plain.equals(word) && t.isNear(word)) {
                    found.add(t);
                }
            }
        }
        return found;
    }

    /** Where these words stand, of those around one that are in its line. */
    static Spot spot(Token at, List<Token> around, Predicate<Token> these) {
        Box line = at.spot.box();
        Box all = around.stream()
                .filter(t -> t.spot.page() == at.spot.page() && these.test(t))
                .map(t -> t.spot.box())
                .filter(box -> box.y() < line.bottom() && line.y() < box.bottom())
                .reduce(line, Box::union);
        return new Spot(at.spot.page(), all);
    }

    /** As many words before and behind one, and itself. */
    List<Token> around(Token at, int words) {
        return tokens.subList(Math.max(0, at.at - words), Math.min(tokens.size(), at.at + words + 1));
    }

    /** Where some words stand next to each other in that order, if they do. */
    Optional<Spot> phrase(List<String> words) {
        return words.isEmpty()
                ? Optional.empty()
                : byPlain.getOrDefault(words.get(0), List.of()).stream()
                        .filter(first -> follows(first, words))
                        .map(Token::spot)
                        .findFirst();
    }

    private boolean follows(Token first, List<String> words) {
        for (int i = 1; i < words.size(); i++) {
            int at = first.at + i;
            if (at >= tokens.size() || !tokens.get(at).plain.equals(words.get(i))) {
                return false;
            }
        }
        return true;
    }
}
