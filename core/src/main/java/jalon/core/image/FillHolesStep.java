package jalon.core.image;

import jalon.core.page.Box;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;

/** Paper where punch holes are. */
record FillHolesStep() implements RepairStep {
    /** A little more than the hole: its rim is grey. */
    private static final double RIM_MM = 0.5;

    @Override
    public void on(PageUnderRepair page) {
        BufferedImage out = page.copy();
        Graphics2D g = page.painting(out);
        for (Box hole : PunchHoles.in(page.map())) {
            Box all = hole.grown(RIM_MM);
            g.fill(new Ellipse2D.Double(all.x(), all.y(), all.width(), all.height()));
        }
        g.dispose();
        page.painted(out);
    }
}
