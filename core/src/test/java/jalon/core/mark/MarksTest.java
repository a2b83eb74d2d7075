package jalon.core.mark;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.MultiFormatWriter;
import com.google.zxing.common.BitMatrix;
import jalon.core.Pictures;
import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MarksTest {
    @ParameterizedTest
    @CsvSource({"WNNW,1", "WNWN,2", "NNWW,3", "WWNN,4", "NWWN,6", "NWNW,T"})
    void eachPatchIsReadFromTheLeadingEdge(String bars, String code) {
        for (int dpi : new int[] {200, 300}) {
            for (double skew : new double[] {0, -2.5, 4}) {
                var page = Pictures.plane(dpi, skew, g -> Pictures.patch(g, 40, 18, 130, bars));
                assertThat(Marks.found(page).upright(0, false))
                        .as("%s at %d dpi, %.1f degrees", bars, dpi, skew)
                        .extracting(Mark::value)
                        .containsExactly(code);
            }
        }
    }

    @Test
    void patchOfASheetFedUpsideDownOrSidewaysIsReadFromItsOwnEdge() {
        var page = Pictures.plane(200, 0, g -> Pictures.patch(g, 40, 18, 130, "WNWN"));
        for (int turn : new int[] {90, 180, 270}) {
            var marks = Marks.found(page.turned(turn)).upright(0, false);
            assertThat(marks).as("turned by %d", turn).extracting(Mark::value).containsExactly("2");
            assertThat(marks.get(0).direction().by()).isEqualTo(Mark.KnownBy.EDGE);
        }
    }

    @Test
    void printSettlesTheDirectionOfAPatchInTheMiddle() {
        var page = Pictures.plane(200, 0, g -> Pictures.patch(g, 40, 138, 130, "WNWN"));
        assertThat(Marks.found(page.turned(180)).upright(180, true))
                .singleElement()
                .satisfies(m -> {
                    assertThat(m.value()).isEqualTo("2");
                    assertThat(m.direction().by()).isEqualTo(Mark.KnownBy.PRINT);
                });
    }

    @Test
    void noPatchInTextTablesOrBarcodes() {
        var page = Pictures.plane(300, 1, g -> {
            Pictures.letter(g);
            for (int i = 0; i < 12; i++) {
                g.fill(new Rectangle2D.Double(20, 240 + i * 3.5, 170, 0.6 + (i % 3) * 0.5));
            }
            code(g, BarcodeFormat.CODE_128, "PM-4821-K", 20, 8, 120, 20);
        });
        assertThat(Marks.found(page).upright(0, true)).noneMatch(m -> m.kind() == Mark.Kind.PATCH);
    }

    @ParameterizedTest
    @CsvSource({
        "CODE_128,PM-4821-K,90,15",
        "CODE_39,PM4821K,110,15",
        "ITF,12345678901231,80,15",
        "CODABAR,A1234567A,80,15",
        "EAN_13,5901234123457,60,20",
        "CODE_93,PM4821K,90,15",
        "EAN_8,22080424,40,15",
        "UPC_A,012345678905,60,20",
        "UPC_E,03298307,40,15",
        "AZTEC,PM-4821-K,20,20",
        "QR_CODE,PM-4821-K,25,25",
        "DATA_MATRIX,PM-4821-K,20,20",
        "PDF_417,PM-4821-K,80,25"
    })
    void everyKindOfBarcodeInAllFourDirections(BarcodeFormat kind, String value, double w, double h) {
        var page = Pictures.plane(300, 0.7, g -> {
            Pictures.text(g, 20, 200, 12, "Some words stand on the page as well.");
            code(g, kind, value, 45, 60, w, h);
        });
        for (int turn : new int[] {0, 90, 180, 270}) {
            var marks = Marks.found(page.turned(turn)).upright(Math.floorMod(-turn, 360), true);
            assertThat(marks).as("%s turned by %d", kind, turn).singleElement().satisfies(m -> {
                assertThat(m.symbology()).isEqualTo(kind.name());
                assertThat(m.value().replaceAll("^A|A$", "")).isEqualTo(value.replaceAll("^A|A$", ""));
                assertThat(m.box().centreX()).isBetween(45.0, 45 + w);
                assertThat(m.box().centreY()).isBetween(58.0, 62 + h);
            });
        }
    }

    @Test
    void severalBarcodesOnAPage() {
        var page = Pictures.plane(300, 0, g -> {
            Pictures.letter(g);
            code(g, BarcodeFormat.CODE_128, "PM-4821-K", 20, 10, 80, 14);
            code(g, BarcodeFormat.CODE_39, "B0412", 120, 240, 70, 14);
            code(g, BarcodeFormat.QR_CODE, "ML-26-00417", 20, 240, 25, 25);
        });
        assertThat(Marks.found(page).upright(0, true))
                .extracting(Mark::value)
                .containsExactlyInAnyOrder("PM-4821-K", "B0412", "ML-26-00417");
    }

    @Test
    void codesThatShareTheirPlaceAreAllRead() {
        var page = Pictures.plane(300, 0, g -> {
            code(g, BarcodeFormat.QR_CODE, "ML-26-00417", 20, 40, 25, 25);
            code(g, BarcodeFormat.QR_CODE, "PM-4821-K", 48, 40, 25, 25);
            code(g, BarcodeFormat.DATA_MATRIX, "B-0412", 76, 40, 20, 20);
            code(g, BarcodeFormat.CODE_128, "PM-5510-A", 60, 140, 80, 14);
            code(g, BarcodeFormat.DATA_MATRIX, "12 pages", 143, 139, 16, 16);
        });
        for (int turn : new int[] {0, 90, 180, 270}) {
            var marks = Marks.found(page.turned(turn)).upright(Math.floorMod(-turn, 360), true);
            assertThat(marks)
                    .as("turned by %d", turn)
                    .extracting(Mark::value)
                    .containsExactlyInAnyOrder("ML-26-00417", "PM-4821-K", "B-0412", "PM-5510-A", "12 pages");
            assertThat(marks)
                    .filteredOn(m -> m.value().equals("PM-4821-K"))
                    .singleElement()
                    .satisfies(m -> {
                        assertThat(m.box().centreX()).isBetween(55.0, 66.0);
                        assertThat(m.box().centreY()).isBetween(47.0, 58.0);
                    });
        }
    }

    @Test
    void aCodeWithoutCheckDigitWhoseEndIsCutOffIsNone() {
        for (BarcodeFormat kind : new BarcodeFormat[] {BarcodeFormat.ITF, BarcodeFormat.CODABAR}) {
            var page = Pictures.plane(300, 0, g -> {
                code(g, kind, kind == BarcodeFormat.ITF ? "12345678901231" : "A12345678B", 20, 60, 80, 15);
                g.setColor(java.awt.Color.WHITE);
                g.fill(new Rectangle2D.Double(20, 60, 24, 15));
            });
            assertThat(Marks.found(page).upright(0, true)).as(kind.name()).isEmpty();
        }
    }

    /** A chart whose columns were read as 14731326: no two of them are alike. */
    @Test
    void theColumnsOfAChartAreNoRowOfDigits() {
        int[] narrow = {9, 14, 8, 16, 10, 13};
        int[] wide = {22, 17, 26, 18, 24, 19};
        int[] widths = new int[7 + 10 * 4];
        for (int i = 0; i < widths.length; i++) {
            int at = i - 4;
            boolean isWide = at >= 0 && at < 40 ? List.of(0, 4).contains(at % 10 / 2) : i == 44;
            widths[i] = (isWide ? wide : narrow)[i * 5 % 6];
        }
        assertThat(seen(widths)).isEmpty();
    }

    private static List<Mark> seen(int[] widths) {
        double mm = 25.4 / 200;
        var page = Pictures.plane(200, 0, g -> {
            double x = 20;
            for (int i = 0; i < widths.length; i++) {
                if (i % 2 == 0) {
                    g.fill(new Rectangle2D.Double(x, 100, widths[i] * mm, 17));
                }
                x += widths[i] * mm;
            }
        });
        return Marks.found(page).upright(0, false);
    }

    @Test
    void thickBarsOfAnyWidthAreNoPatch() {
        var page = Pictures.plane(200, 0, g -> {
            double y = 18;
            for (double[] bar : new double[][] {{5.2, 1.2}, {2.9, 2.6}, {2.0, 1.3}, {4.1, 0}}) {
                g.fill(new Rectangle2D.Double(40, y, 130, bar[0]));
                y += bar[0] + bar[1];
            }
        });
        assertThat(Marks.found(page).upright(0, false)).isEmpty();
    }

    @Test
    void barsOfAChartThatEndInDifferentPlacesAreNoPatch() {
        double[] lengths = {90, 70, 110, 45};
        var page = Pictures.plane(200, 0, g -> {
            double y = 80;
            for (int i = 0; i < 4; i++) {
                double high = i == 1 || i == 2 ? 5.08 : 2.03;
                g.fill(new Rectangle2D.Double(40, y, lengths[i], high));
                y += high + 2.03;
            }
        });
        assertThat(Marks.found(page).upright(0, false)).isEmpty();
    }

    @Test
    void codesOfAPictureTakenCloseUpAreRead() {
        var page = Pictures.plane(600, 3, g -> code(g, BarcodeFormat.UPC_E, "03298307", 10, 10, 40, 15));
        var cut = page.cut(0, 0, 1400, 800);
        // Whoever took it knew no resolution: it is taken for that of a whole sheet.
        var close = new GrayPlane(cut.width(), cut.height(), cut.pixels(), 120);
        assertThat(Marks.found(close).upright(0, true)).singleElement().satisfies(m -> {
            assertThat(m.value()).isEqualTo("03298307");
            assertThat(m.box().centreX()).isBetween(100.0, 200.0);
        });
    }

    @Test
    void onlyTheKindsAndThePlaceThatAreExpectedAreLookedFor() {
        var page = Pictures.plane(200, 0, g -> {
            code(g, BarcodeFormat.CODE_128, "PM-4821-K", 20, 20, 80, 14);
            code(g, BarcodeFormat.CODE_128, "PM-5510-A", 20, 200, 80, 14);
            code(g, BarcodeFormat.QR_CODE, "ML-26-00417", 140, 15, 25, 25);
        });
        var top = new Box(0, 0, 210, 60);
        assertThat(Marks.found(page, page.small(), List.of("CODE_128"), top).upright(0, true))
                .extracting(Mark::value)
                .containsExactly("PM-4821-K");
        assertThat(Marks.found(page, page.small(), List.of("QR_CODE"), null).upright(0, true))
                .extracting(Mark::value)
                .containsExactly("ML-26-00417");
    }

    private static void code(Graphics2D g, BarcodeFormat kind, String value, double x, double y, double w, double h) {
        try {
            BitMatrix bars = new MultiFormatWriter().encode(value, kind, 0, 0);
            boolean rows = List.of(
                            BarcodeFormat.QR_CODE,
                            BarcodeFormat.DATA_MATRIX,
                            BarcodeFormat.PDF_417,
                            BarcodeFormat.AZTEC)
                    .contains(kind);
            double cell = w / bars.getWidth();
            double height = rows ? h / bars.getHeight() : h;
            for (int row = 0; row < (rows ? bars.getHeight() : 1); row++) {
                for (int i = 0; i < bars.getWidth(); i++) {
                    if (bars.get(i, row)) {
                        g.fill(new Rectangle2D.Double(x + i * cell, y + row * height, cell, height));
                    }
                }
            }
        } catch (com.google.zxing.WriterException e) {
            throw new IllegalStateException(e);
        }
    }
}
