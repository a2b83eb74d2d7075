package jalon.core.image;

import java.awt.image.BufferedImage;

/** Paper where specks are. */
record CleanSpecksStep() implements RepairStep {
    @Override
    public void on(PageUnderRepair page) {
        BufferedImage out = page.copy();
        int rgb = page.paper().getRGB();
        Specks.each(page.map(), page.full(), (x, y, w, h) -> {
            for (int v = Math.max(0, y - 1); v < Math.min(out.getHeight(), y + h + 1); v++) {
                for (int u = Math.max(0, x - 1); u < Math.min(out.getWidth(), x + w + 1); u++) {
                    out.setRGB(u, v, rgb);
                }
            }
        });
        page.painted(out);
    }
}
