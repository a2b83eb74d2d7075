package jalon.core.output;

import jalon.core.page.Box;
import jalon.core.read.Line;
import java.util.List;

/** The lines of a paragraph as text that may be broken anew: ends of lines that were wanted stay. */
final class RunningText {
    /** Room for a blank, in heights of print. */
    private static final double BLANK = 0.4;

    private RunningText() {}

    /** @return with a line feed only where the next line's first word would have had room */
    static String of(PageBlock.Text block) {
        List<Line> lines = block.paragraph().lines();
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < lines.size(); i++) {
            text.append(lines.get(i).text());
            if (i + 1 < lines.size()) {
                join(text, lines.get(i), lines.get(i + 1), block.right());
            }
        }
        return text.toString();
    }

    private static void join(StringBuilder text, Line line, Line next, double right) {
        Box first = next.words().get(0).box();
        if (isParted(text, next.text())) {
            text.setLength(text.length() - 1);
        } else if (right - line.box().right() > first.width() + BLANK * first.height()) {
            text.append('\n');
        } else {
            text.append(' ');
        }
    }

    /** A word that was parted at the end of its line goes on in small letters; {@code Meyer-} and {@code Land} do not. */
    private static boolean isParted(CharSequence text, String next) {
        int end = text.length() - 1;
        return end > 0
                && text.charAt(end) == '-'
                && Character.isLetter(text.charAt(end - 1))
                && Character.isLowerCase(next.codePointAt(0));
    }
}
