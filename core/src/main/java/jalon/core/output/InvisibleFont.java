package jalon.core.output;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * A font without outlines for the text that lies over a page image: every character is half an em wide and shows nothing.
 * PDF/A asks that fonts be embedded and say what their codes mean (ISO 19005-2, 6.2.11), so it carries a TrueType program
 * of two empty glyphs and a ToUnicode map.
 *
 * <p>Codes are UTF-16 units. Characters beyond the basic plane get a code of their own from the surrogate range, which no
 * character of the basic plane uses; 2,048 different ones fit into one document.
 */
final class InvisibleFont {
    /** Advance width of every glyph, in thousandths of an em. */
    static final int WIDTH = 500;

    private static final int FIRST_OWN_CODE = 0xD800;
    private static final int LAST_OWN_CODE = 0xDFFF;

    private final Map<Integer, Integer> beyondBasic = new LinkedHashMap<>();

    /** The codes of a text as hexadecimal digits, four to a character; characters that cannot be mapped are left out. */
    String codes(String text) {
        StringBuilder hex = new StringBuilder();
        text.codePoints().forEach(c -> {
            int code = code(c);
            if (code >= 0) {
                hex.append(String.format(Locale.ROOT, "%04X", code));
            }
        });
        return hex.toString();
    }

    private int code(int character) {
        if (character > 0xFFFF) {
            Integer known = beyondBasic.get(character);
            if (known == null && FIRST_OWN_CODE + beyondBasic.size() <= LAST_OWN_CODE) {
                known = FIRST_OWN_CODE + beyondBasic.size();
                beyondBasic.put(character, known);
            }
            return known == null ? -1 : known;
        }
        // 0, FEFF and FFFE may not be mapped to (ISO 19005-2, 6.2.11.7.2); lone surrogates are not characters.
        boolean mappable = character >= 0x20
                && !(character >= FIRST_OWN_CODE && character <= LAST_OWN_CODE)
                && character != 0xFEFF
                && character < 0xFFFE;
        return mappable ? character : -1;
    }

    /** The font dictionary; call after all text was coded. */
    COSDictionary dictionary(PDDocument document) throws IOException {
        COSDictionary descriptor = new COSDictionary();
        descriptor.setItem(COSName.TYPE, COSName.FONT_DESC);
        descriptor.setName(COSName.FONT_NAME, "JalonInvisible");
        descriptor.setInt(COSName.FLAGS, 4);
        descriptor.setItem(COSName.FONT_BBOX, array(0, -200, WIDTH, 800));
        descriptor.setInt(COSName.ITALIC_ANGLE, 0);
        descriptor.setInt(COSName.ASCENT, 800);
        descriptor.setInt(COSName.DESCENT, -200);
        descriptor.setInt(COSName.CAP_HEIGHT, 800);
        descriptor.setInt(COSName.STEM_V, 80);
        byte[] program = program();
        COSStream fontFile = stream(document, program);
        fontFile.setInt(COSName.LENGTH1, program.length);
        descriptor.setItem(COSName.FONT_FILE2, fontFile);

        COSDictionary systemInfo = new COSDictionary();
        systemInfo.setItem(COSName.REGISTRY, new COSString("Adobe"));
        systemInfo.setItem(COSName.ORDERING, new COSString("Identity"));
        systemInfo.setInt(COSName.SUPPLEMENT, 0);

        byte[] toGlyph = new byte[2 * 65536];
        for (int i = 1; i < toGlyph.length; i += 2) {
            toGlyph[i] = 1;
        }
        COSDictionary cidFont = new COSDictionary();
        cidFont.setItem(COSName.TYPE, COSName.FONT);
        cidFont.setItem(COSName.SUBTYPE, COSName.CID_FONT_TYPE2);
        cidFont.setName(COSName.BASE_FONT, "JalonInvisible");
        cidFont.setItem(COSName.CIDSYSTEMINFO, systemInfo);
        cidFont.setItem(COSName.FONT_DESC, descriptor);
        cidFont.setInt(COSName.DW, WIDTH);
        cidFont.setItem(COSName.CID_TO_GID_MAP, stream(document, toGlyph));

        COSArray descendants = new COSArray();
        descendants.add(cidFont);
        COSDictionary font = new COSDictionary();
        font.setItem(COSName.TYPE, COSName.FONT);
        font.setItem(COSName.SUBTYPE, COSName.TYPE0);
        font.setName(COSName.BASE_FONT, "JalonInvisible");
        font.setItem(COSName.ENCODING, COSName.IDENTITY_H);
        font.setItem(COSName.DESCENDANT_FONTS, descendants);
        font.setItem(COSName.TO_UNICODE, stream(document, toUnicode().getBytes(StandardCharsets.US_ASCII)));
        return font;
    }

    private static COSArray array(int... numbers) {
        COSArray array = new COSArray();
        for (int n : numbers) {
            array.add(COSInteger.get(n));
        }
        return array;
    }

    private static COSStream stream(PDDocument document, byte[] bytes) throws IOException {
        COSStream stream = document.getDocument().createCOSStream();
        try (var out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(bytes);
        }
        return stream;
    }

    /** A CMap that maps each code to itself, row by row of 256, and the own codes to their characters. */
    private String toUnicode() {
        List<String> ranges = new ArrayList<>();
        for (int high = 0; high <= 0xFF; high++) {
            if (high >= 0xD8 && high <= 0xDF) {
                continue;
            }
            int from = high == 0 ? 0x20 : high << 8;
            int to = high == 0xFF ? 0xFFFD : (high << 8) + 0xFF;
            if (high == 0xFE) {
                ranges.add(range(from, 0xFEFE));
                continue;
            }
            ranges.add(range(from, to));
        }
        List<String> single = new ArrayList<>();
        beyondBasic.forEach((character, code) -> {
            char[] units = Character.toChars(character);
            single.add(String.format(Locale.ROOT, "<%04X> <%04X%04X>", code, (int) units[0], (int) units[1]));
        });
        StringBuilder map = new StringBuilder("/CIDInit /ProcSet findresource begin\n12 dict begin\nbegincmap\n"
                + "/CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def\n"
                + "/CMapName /JalonInvisible-UCS def\n/CMapType 2 def\n"
                + "1 begincodespacerange\n<0000> <FFFF>\nendcodespacerange\n");
        sections(map, ranges, "bfrange");
        sections(map, single, "bfchar");
        return map.append("endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n")
                .toString();
    }

    private static String range(int from, int to) {
        return String.format(Locale.ROOT, "<%04X> <%04X> <%04X>", from, to, from);
    }

    /** A section of a CMap holds at most 100 entries. */
    private static void sections(StringBuilder map, List<String> entries, String kind) {
        for (int from = 0; from < entries.size(); from += 100) {
            List<String> part = entries.subList(from, Math.min(from + 100, entries.size()));
            map.append(part.size()).append(" begin").append(kind).append('\n');
            part.forEach(e -> map.append(e).append('\n'));
            map.append("end").append(kind).append('\n');
        }
    }

    /** A TrueType program with two glyphs, both empty. Tables and their fields as in the OpenType specification. */
    private static byte[] program() {
        Map<String, byte[]> tables = new java.util.TreeMap<>();
        tables.put("head", bytes(o -> {
            o.writeInt(0x00010000);
            o.writeInt(0x00010000);
            o.writeInt(0);
            o.writeInt(0x5F0F3CF5);
            o.writeShort(0x000B);
            o.writeShort(1000);
            o.writeLong(0);
            o.writeLong(0);
            o.writeShort(0);
            o.writeShort(-200);
            o.writeShort(WIDTH);
            o.writeShort(800);
            o.writeShort(0);
            o.writeShort(8);
            o.writeShort(2);
            o.writeShort(0);
            o.writeShort(0);
        }));
        tables.put("hhea", bytes(o -> {
            o.writeInt(0x00010000);
            o.writeShort(800);
            o.writeShort(-200);
            o.writeShort(0);
            o.writeShort(WIDTH);
            for (int i = 0; i < 11; i++) {
                o.writeShort(i == 3 ? 1 : 0);
            }
            o.writeShort(2);
        }));
        tables.put("maxp", bytes(o -> {
            o.writeInt(0x00010000);
            o.writeShort(2);
            for (int i = 0; i < 13; i++) {
                o.writeShort(i == 4 ? 2 : 0);
            }
        }));
        tables.put("hmtx", bytes(o -> {
            o.writeShort(WIDTH);
            o.writeShort(0);
            o.writeShort(WIDTH);
            o.writeShort(0);
        }));
        tables.put("loca", new byte[6]);
        tables.put("glyf", new byte[1]);
        tables.put("post", bytes(o -> {
            o.writeInt(0x00030000);
            for (int i = 0; i < 7; i++) {
                o.writeInt(0);
            }
        }));
        tables.put("cmap", bytes(o -> {
            o.writeShort(0);
            o.writeShort(1);
            o.writeShort(3);
            o.writeShort(0);
            o.writeInt(12);
            // Format 6 with one character: a symbol font needs a (3,0) table, and it says nothing more.
            o.writeShort(6);
            o.writeShort(12);
            o.writeShort(0);
            o.writeShort(0xF020);
            o.writeShort(1);
            o.writeShort(1);
        }));
        return assembled(tables);
    }

    private static byte[] assembled(Map<String, byte[]> tables) {
        int n = tables.size();
        int power = Integer.highestOneBit(n);
        return bytes(o -> {
            o.writeInt(0x00010000);
            o.writeShort(n);
            o.writeShort(16 * power);
            o.writeShort(Integer.numberOfTrailingZeros(power));
            o.writeShort(16 * (n - power));
            int at = 12 + 16 * n;
            for (Map.Entry<String, byte[]> table : tables.entrySet()) {
                o.writeBytes(table.getKey());
                o.writeInt(checksum(table.getValue()));
                o.writeInt(at);
                o.writeInt(table.getValue().length);
                at += (table.getValue().length + 3) / 4 * 4;
            }
            for (byte[] table : tables.values()) {
                o.write(table);
                o.write(new byte[(4 - table.length % 4) % 4]);
            }
        });
    }

    private static int checksum(byte[] table) {
        int sum = 0;
        for (int i = 0; i < table.length; i++) {
            sum += (table[i] & 0xFF) << (24 - 8 * (i % 4));
        }
        return sum;
    }

    private interface Writing {
        void to(DataOutputStream out) throws IOException;
    }

    private static byte[] bytes(Writing writing) {
        var bytes = new ByteArrayOutputStream();
        try (var out = new DataOutputStream(bytes)) {
            writing.to(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
