package jalon.core.image;

import jalon.core.page.Box;
import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** Paper where black scan edges and missing corners are. */
record WhitenEdgesStep() implements RepairStep {
    private static final double RIM_MM = 0.3;

    @Override
    public void on(PageUnderRepair page) {
        BufferedImage out = page.copy();
        Graphics2D g = page.painting(out);
        InkMap map = page.map();
        List<Corners.Corner> corners = Corners.in(map);
        for (ScanEdges.Edge edge : ScanEdges.in(map, corners)) {
            Box all = edge.where().grown(RIM_MM);
            g.fill(new Rectangle2D.Double(all.x(), all.y(), all.width(), all.height()));
        }
        g.setStroke(new BasicStroke(1));
        for (Corners.Corner corner : corners) {
            g.fill(Corners.triangle(corner, map.mm(map.width), map.mm(map.height)));
            g.draw(Corners.triangle(corner, map.mm(map.width), map.mm(map.height)));
        }
        g.dispose();
        page.painted(out);
    }
}
