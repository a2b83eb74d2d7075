package jalon.core.propose;

import jalon.core.read.PageFacts;

/** What sheets put between papers look like. */
final class Sheets {
    /** A separator says what it is, and whose, and no more. */
    private static final int MOST_WORDS = 30;

    private Sheets() {}

    /** Whether hardly anything is on it. */
    static boolean isBare(PageFacts page) {
        return page.words().stream()
                        .filter(w -> w.text().codePoints().anyMatch(Character::isLetterOrDigit))
                        .count()
                <= MOST_WORDS;
    }
}
