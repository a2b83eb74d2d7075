package jalon.core.split;

import com.google.re2j.Pattern;
import jalon.core.read.Line;

/** Words by which letters begin and end, and lists go on, in the languages that letters of a house come in. */
final class LetterWords {
    private static final Pattern GREETING =
            Pattern.compile("(?i)^\\W{0,2}(dear|to whom it may|sehr geehrte|liebe[rs]?|guten tag|"
                    + "werte[rs]?|madame|monsieur|messieurs|mesdames|ch(e|è)re?s?|bonjour|estimad[oa]s?|apreciad[oa]s?|"
                    + "muy señor|querid[oa]s?|gentil[ei]|egregi[oa]?|spett|car[oiae] |gentilissim|geachte|beste |b(a|ä)ste|hej|"
                    + "szanown|drog[iaoe]|drodzy|exmo|exma|caro |prezad[oa]|vážen|mil(ý|á|í)|tisztelt|kedves|hyv(ä|a) |arvoisa|"
                    + "k(æ|ae)re|stimat|domnule|spoštovan|poštovan|sayın|lugupeetud|gerbiam)");

    private static final Pattern CLOSING = Pattern.compile("(?i)^\\W{0,2}(yours (faithfully|sincerely|truly)|"
            + "sincerely|(kind|best|warm) regards|with (best|kind)|regards\\b|best wishes|mit (freundlich|best|herzlich)|"
            + "freundliche gr|viele gr|beste gr|hochachtungsvoll|herzlich|veuillez (agr|recevoir|croire)|cordialement|"
            + "je vous prie d|nous vous prions d.?agr|bien à vous|avec nos|salutations|atentamente|(un )?cordial saludo|"
            + "saludos|reciban? un|sin otro particular|distinti saluti|cordiali saluti|con i migliori|vogliate gradire|"
            + "met (vriendelijke|de meeste|beste)|hoogachtend|vriendelijke gr|med v(ä|a)nlig|v(ä|a)nliga h(ä|a)lsningar|"
            + "högaktningsfullt|b(ä|a)sta h(ä|a)lsningar|hälsningar|z powa|z wyrazami|serdecznie|łączę|laczę|pozdraw|"
            + "com os melhores|atenciosamente|melhores cumprimentos|s pozdravem|s úctou|tisztelettel|üdvözlettel|"
            + "ystäv(ä|a)llisin|med venlig|med vennlig|cu stim|s spoštovanjem|saygılar|lugupidamisega)");

    private static final Pattern GOES_ON =
            Pattern.compile("(?i)(carried forward|brought forward|continued|cont'd|\\büber ?trag|"
                    + "fortsetzung|à reporter|report[ée]? |suite (de|page)|suma y sigue|suma anterior|continúa|da riportare|riporto|segue|"
                    + "transport(eras|eren)?\\b|vervolg|forts\\b|fortsättning|do przeniesienia|z przeniesienia|ciąg dalszy|a transportar|"
                    + "please turn over|bitte wenden|t\\.?s\\.?v\\.?p|p\\.?t\\.?o\\.?$|folgeseite)");

    private static final Pattern DATE = Pattern.compile("(\\b[0-3]?\\d[./-][01]?\\d[./-](19|20)?\\d\\d\\b|"
            + "\\b(19|20)\\d\\d-[01]\\d-[0-3]\\d\\b|\\b[0-3]?\\d(\\.|er|º|st|nd|rd|th)?( de)? \\pL{3,10}\\.?( de)? (19|20)\\d\\d\\b|"
            + "\\b\\pL{3,9} [0-3]?\\d, (19|20)\\d\\d\\b)");

    private LetterWords() {}

    static boolean greets(Line line) {
        return line.words().size() <= 9 && GREETING.matcher(line.text()).find();
    }

    static boolean closes(Line line) {
        return line.words().size() <= 12 && CLOSING.matcher(line.text()).find();
    }

    static boolean goesOn(Line line) {
        return line.words().size() <= 8 && GOES_ON.matcher(line.text()).find();
    }

    static boolean hasDate(Line line) {
        return DATE.matcher(line.text()).find();
    }
}
