package jalon.core.page;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.Optional;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/** Finds out whether a PDF page is a scan: one picture over the whole page and nothing else to be seen. */
final class PdfScanImage extends PDFGraphicsStreamEngine {
    /** Scanning programs leave a margin of a few points at most; a letter with a large picture has more. */
    private static final double COVERS = 0.9;

    private PDImageXObject image;
    private Matrix placed;
    private boolean other;

    private PdfScanImage(PDPage page) {
        super(page);
    }

    /** @param turn clockwise, as the content draws it; the page's own rotation comes on top */
    record Found(PDImageXObject image, double dpiX, double dpiY, int turn) {}

    static Optional<Found> find(PDPage page) throws IOException {
        var engine = new PdfScanImage(page);
        engine.processPage(page);
        if (!PdfText.seen(page).isEmpty() || engine.other || engine.image == null) {
            return Optional.empty();
        }
        Matrix m = engine.placed;
        double straight = Math.abs(m.getScaleX() * m.getScaleY());
        double crossed = Math.abs(m.getShearX() * m.getShearY());
        double area = straight + crossed;
        double pageArea =
                (double) page.getCropBox().getWidth() * page.getCropBox().getHeight();
        boolean aligned = Math.min(straight, crossed) < 1e-3 * area;
        if (!aligned || area < COVERS * pageArea) {
            return Optional.empty();
        }
        int turn;
        double across;
        double down;
        if (straight > crossed) {
            if (m.getScaleX() * m.getScaleY() < 0) {
                return Optional.empty();
            }
            turn = m.getScaleX() > 0 ? 0 : 180;
            across = Math.abs(m.getScaleX());
            down = Math.abs(m.getScaleY());
        } else {
            if (m.getShearX() * m.getShearY() > 0) {
                return Optional.empty();
            }
            // getShearY is the b of [a b c d e f]: the picture's x axis going up the page is a turn to the left.
            turn = m.getShearY() > 0 ? 270 : 90;
            across = Math.abs(m.getShearY());
            down = Math.abs(m.getShearX());
        }
        return Optional.of(new Found(
                engine.image, engine.image.getWidth() * 72 / across, engine.image.getHeight() * 72 / down, turn));
    }

    @Override
    public void drawImage(PDImage drawn) {
        if (image != null || !(drawn instanceof PDImageXObject x) || drawn.isStencil()) {
            other = true;
            return;
        }
        image = x;
        placed = getGraphicsState().getCurrentTransformationMatrix().clone();
    }

    @Override
    protected void showGlyph(Matrix rendering, PDFont font, int code, Vector displacement) {
        if (getGraphicsState().getTextState().getRenderingMode() != RenderingMode.NEITHER) {
            other = true;
        }
    }

    @Override
    public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
        // Paths count only when they are painted.
    }

    @Override
    public void clip(int windingRule) {
        // A clip shows nothing.
    }

    @Override
    public void moveTo(float x, float y) {
        // see appendRectangle
    }

    @Override
    public void lineTo(float x, float y) {
        // see appendRectangle
    }

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
        // see appendRectangle
    }

    @Override
    public Point2D getCurrentPoint() {
        return new Point2D.Float();
    }

    @Override
    public void closePath() {
        // see appendRectangle
    }

    @Override
    public void endPath() {
        // see appendRectangle
    }

    @Override
    public void strokePath() {
        other = true;
    }

    @Override
    public void fillPath(int windingRule) {
        // A white sheet is often painted below the picture; what lies under it cannot be seen.
        other |= image != null;
    }

    @Override
    public void fillAndStrokePath(int windingRule) {
        other = true;
    }

    @Override
    public void shadingFill(COSName shading) {
        other = true;
    }
}
