package jalon.core.register;

import jalon.core.register.Paper.Token;
import jalon.core.register.RowMatch.Level;
import java.util.ArrayList;
import java.util.List;

/** All of a name together, in either order; nearly all of it, with initials; or its telling word alone. */
final class NameLook extends WordsLook {
    @Override
    List<String> words(String value) {
        return Plain.tokens(value);
    }

    @Override
    public Seen on(Paper paper, String value) {
        List<String> wanted = words(value);
        boolean longer = wanted.stream().anyMatch(w -> w.length() >= SHORTEST_TELLING);
        Seen best = Seen.NOT;
        for (String word : wanted) {
            if (longer && word.length() < SHORTEST_TELLING) {
                continue;
            }
            for (Token at : paper.nearly(word)) {
                List<Token> around = paper.around(at, wanted.size());
                Level level = level(around, wanted);
                if (best.worseThan(level)) {
                    var spot = Paper.spot(at, around, t -> wanted.stream().anyMatch(t::isNear));
                    best = new Seen(level, spot, at.plain().equals(word) ? word : null);
                }
            }
        }
        return best.level() == Level.PART && best.part() == null ? Seen.NOT : best;
    }

    private static Level level(List<Token> around, List<String> wanted) {
        List<Token> there = new ArrayList<>(around);
        int same = 0;
        int near = 0;
        for (String word : wanted) {
            if (there.removeIf(t -> t.plain().equals(word))) {
                same++;
            } else if (there.stream().anyMatch(t -> t.isNear(word) || isInitial(t.plain(), word))) {
                near++;
            }
        }
        if (same == wanted.size() && same > 1) {
            return Level.SAME;
        }
        return same + near == wanted.size() && wanted.size() > 1 ? Level.NEAR : Level.PART;
    }

    private static boolean isInitial(String there, String word) {
        return there.length() == 1 && word.startsWith(there) || word.length() == 1 && there.startsWith(word);
    }
}
