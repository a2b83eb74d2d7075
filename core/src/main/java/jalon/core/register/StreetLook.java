package jalon.core.register;

import jalon.core.register.Paper.Token;
import jalon.core.register.RowMatch.Level;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Of an address the street with the house, without the town; or the street alone. */
final class StreetLook extends WordsLook {
    @Override
    List<String> words(String value) {
        return Arrays.stream(value.split(","))
                .filter(StreetLook::hasDigit)
                .findFirst()
                .map(Plain::tokens)
                .orElse(Plain.tokens(value));
    }

    private static boolean hasDigit(String text) {
        return text.chars().anyMatch(Character::isDigit);
    }

    @Override
    public Seen on(Paper paper, String value) {
        List<String> street = new ArrayList<>();
        List<String> house = new ArrayList<>();
        List<String> wanted = words(value);
        wanted.forEach(w -> (hasDigit(w) ? house : street).add(w));
        Seen best = Seen.NOT;
        for (String word : street) {
            if (word.length() < SHORTEST_TELLING) {
                continue;
            }
            for (Token at : paper.nearly(word)) {
                List<Token> around = paper.around(at, wanted.size());
                Level level = level(around, street, house);
                if (best.worseThan(level)) {
                    best = new Seen(level, Paper.spot(at, around, t -> wanted.contains(t.plain())), word);
                }
            }
        }
        return best;
    }

    private static Level level(List<Token> there, List<String> street, List<String> house) {
        boolean housed = house.stream().allMatch(h -> has(there, h, false));
        boolean all = street.stream().allMatch(w -> has(there, w, false));
        if (all) {
            return housed ? Level.SAME : Level.PART;
        }
        return housed && street.stream().allMatch(w -> has(there, w, true)) ? Level.NEAR : Level.ABSENT;
    }

    private static boolean has(List<Token> there, String word, boolean nearly) {
        return there.stream().anyMatch(t -> t.plain().equals(word) || nearly && t.isNear(word));
    }
}
