package jalon.bench.codes;

import com.google.zxing.common.PerspectiveTransform;
import jalon.bench.Jpegs;
import jalon.core.image.GrayPlane;
import jalon.demo.Wear;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Random;

/** A sheet as a hand-held camera takes it: askew in space, unevenly lit, a little out of focus, packed hard. */
final class Camera {
    private static final double TABLE = 0.06;

    private Camera() {}

    static BufferedImage taken(BufferedImage sheet, Random r) {
        GrayPlane from = GrayPlane.of(sheet, 200);
        double size = 0.85 + 0.3 * r.nextDouble();
        int w = (int) (from.width() * size);
        int h = (int) (from.height() * size);
        var image = new BufferedImage(w, h, BufferedImage.TYPE_BYTE_GRAY);
        byte[] to = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        // Corners of the sheet in the picture, as shares of it.
        float[] x = new float[4];
        float[] y = new float[4];
        for (int i = 0; i < 4; i++) {
            x[i] = (float) ((i == 0 || i == 3 ? TABLE : 1 - TABLE) + 0.04 * (r.nextDouble() - 0.5));
            y[i] = (float) ((i < 2 ? TABLE : 1 - TABLE) + 0.04 * (r.nextDouble() - 0.5));
        }
        PerspectiveTransform map =
                PerspectiveTransform.quadrilateralToSquare(x[0], y[0], x[1], y[1], x[2], y[2], x[3], y[3]);
        int table = 40 + r.nextInt(140);
        double lightX = r.nextDouble() - 0.5;
        double lightY = r.nextDouble() - 0.5;
        double dim = 0.6 + 0.3 * r.nextDouble();
        float[] row = new float[2 * w];
        for (int j = 0; j < h; j++) {
            double v = (double) j / h;
            for (int i = 0; i < w; i++) {
                row[2 * i] = (float) i / w;
                row[2 * i + 1] = (float) v;
            }
            map.transformPoints(row);
            for (int i = 0; i < w; i++) {
                double u = (double) i / w;
                double sx = row[2 * i] * from.width();
                double sy = row[2 * i + 1] * from.height();
                double seen = table;
                if (sx >= 0 && sy >= 0 && sx < from.width() - 1 && sy < from.height() - 1) {
                    int a = (int) sx;
                    int b = (int) sy;
                    double fx = sx - a;
                    double fy = sy - b;
                    seen = (from.at(a, b) * (1 - fx) + from.at(a + 1, b) * fx) * (1 - fy)
                            + (from.at(a, b + 1) * (1 - fx) + from.at(a + 1, b + 1) * fx) * fy;
                }
                double light = dim * (1 + 0.5 * (lightX * (u - 0.5) + lightY * (v - 0.5)));
                to[j * w + i] = (byte) Math.max(0, Math.min(255, seen * light + 5 * r.nextGaussian()));
            }
        }
        BufferedImage soft = Wear.blurred(image, 200, 0.03 + 0.05 * r.nextDouble());
        return Jpegs.through(soft, 0.45 + 0.4 * r.nextDouble());
    }
}
