package jalon.demo;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Small files that a stranger could send, and that opening or drawing never comes to an end with. */
public final class Hostile {
    private Hostile() {}

    /** A page with a form that draws itself ten times, each of which draws itself ten times. Drawing it never ends. */
    public static byte[] selfDrawingPdf() {
        String content = "/F Do\n".repeat(10);
        return pdf(List.of(
                "<</Type/Catalog/Pages 2 0 R>>",
                "<</Type/Pages/Kids[3 0 R]/Count 1>>",
                "<</Type/Page/Parent 2 0 R/MediaBox[0 0 595 842]/Resources<</XObject<</F 4 0 R>>>>/Contents 5 0 R>>",
                "<</Type/XObject/Subtype/Form/BBox[0 0 595 842]/Resources<</XObject<</F 4 0 R>>>>/Length "
                        + content.length() + ">>\nstream\n" + content + "endstream",
                "<</Length 6>>\nstream\n/F Do\nendstream"));
    }

    /** A tree of pages whose branches lead back into it. */
    public static byte[] loopingPagesPdf() {
        return pdf(List.of(
                "<</Type/Catalog/Pages 2 0 R>>",
                "<</Type/Pages/Kids[3 0 R 3 0 R 3 0 R 3 0 R]/Count 256>>",
                "<</Type/Pages/Parent 2 0 R/Kids[2 0 R 4 0 R 2 0 R 4 0 R]/Count 64>>",
                "<</Type/Pages/Parent 3 0 R/Kids[2 0 R 3 0 R 2 0 R 3 0 R]/Count 16>>"));
    }

    /** One page, said to be two thousand million. */
    public static byte[] boastingPdf() {
        return pdf(List.of(
                "<</Type/Catalog/Pages 2 0 R>>",
                "<</Type/Pages/Kids[3 0 R]/Count 2000000000>>",
                "<</Type/Page/Parent 2 0 R/MediaBox[0 0 595 842]>>"));
    }

    /** Arrays within arrays within arrays. */
    public static byte[] deepPdf() {
        return pdf(List.of(
                "<</Type/Catalog/Pages 2 0 R/Deep " + "[".repeat(200_000) + "]".repeat(200_000) + ">>",
                "<</Type/Pages/Kids[3 0 R]/Count 1>>",
                "<</Type/Page/Parent 2 0 R/MediaBox[0 0 595 842]>>"));
    }

    /** An empty page that waits for nothing: what a good file beside the others looks like to the same code. */
    public static byte[] harmlessPdf() {
        return pdf(List.of(
                "<</Type/Catalog/Pages 2 0 R>>",
                "<</Type/Pages/Kids[3 0 R]/Count 1>>",
                "<</Type/Page/Parent 2 0 R/MediaBox[0 0 595 842]>>"));
    }

    /** Objects numbered from 1, with a right table of where they are: nothing about the file itself is damaged. */
    private static byte[] pdf(List<String> objects) {
        var out = new ByteArrayOutputStream();
        write(out, "%PDF-1.7\n");
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < objects.size(); i++) {
            places.add(out.size());
            write(out, (i + 1) + " 0 obj\n" + objects.get(i) + "\nendobj\n");
        }
        int table = out.size();
        write(out, "xref\n0 " + (objects.size() + 1) + "\n0000000000 65535 f \n");
        places.forEach(at -> write(out, String.format("%010d 00000 n \n", at)));
        write(out, "trailer\n<</Size " + (objects.size() + 1) + "/Root 1 0 R>>\nstartxref\n" + table + "\n%%EOF\n");
        return out.toByteArray();
    }

    private static void write(ByteArrayOutputStream out, String text) {
        out.writeBytes(text.getBytes(StandardCharsets.ISO_8859_1));
    }
}
