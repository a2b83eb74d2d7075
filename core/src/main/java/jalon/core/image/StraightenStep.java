package jalon.core.image;

import java.awt.Color;
import java.awt.image.BufferedImage;

/** Turns the page about its middle by its measured skew; it keeps its size and gets new corners of paper. */
record StraightenStep() implements RepairStep {
    @Override
    public void on(PageUnderRepair page) {
        BufferedImage plain = page.plain();
        Color paper = page.paper();
        int[] around = plain.getType() == BufferedImage.TYPE_3BYTE_BGR
                ? new int[] {paper.getBlue(), paper.getGreen(), paper.getRed()}
                : new int[] {paper.getRed()};
        page.becomes(SmallAngleRotation.of(plain, -page.skewDegrees(), around));
    }
}
