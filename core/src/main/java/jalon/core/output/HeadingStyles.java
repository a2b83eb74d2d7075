package jalon.core.output;

import java.math.BigInteger;
import java.util.Optional;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFStyle;
import org.apache.poi.xwpf.usermodel.XWPFStyles;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTDecimalNumber;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTStyle;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STStyleType;

/** Headings of three levels, by how much larger than the usual print they are. */
final class HeadingStyles {
    private static final double[] LARGER = {1.75, 1.4, 1.2};

    private HeadingStyles() {}

    /** The style of print that is so many times as large; empty for none. */
    static Optional<String> of(double relative) {
        for (int level = 0; level < LARGER.length; level++) {
            if (relative >= LARGER[level]) {
                return Optional.of(id(level));
            }
        }
        return Optional.empty();
    }

    private static String id(int level) {
        return "Heading" + (level + 1);
    }

    static void addTo(XWPFDocument text) {
        XWPFStyles styles = text.createStyles();
        for (int level = 0; level < LARGER.length; level++) {
            CTStyle style = CTStyle.Factory.newInstance();
            style.setStyleId(id(level));
            // Programs know their own headings by this name, whatever their language.
            style.addNewName().setVal("heading " + (level + 1));
            style.setType(STStyleType.PARAGRAPH);
            style.addNewQFormat();
            style.addNewPPr().setOutlineLvl(outline(level));
            styles.addStyle(new XWPFStyle(style));
        }
    }

    private static CTDecimalNumber outline(int level) {
        var number = CTDecimalNumber.Factory.newInstance();
        number.setVal(BigInteger.valueOf(level));
        return number;
    }
}
