package jalon.server.store;

import jalon.server.NewerData;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Consumer;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * What lies in the database as gzip of JSON. Each form has a number, which goes up when its JSON changes in a way that the
 * reader before would not understand; bytes of lower numbers are brought up to date as they are read, and stay as they are.
 */
public final class StoredJson {
    public static final int FORMAT = 2;

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private StoredJson() {}

    public static byte[] write(Record form) {
        var bytes = new ByteArrayOutputStream();
        try (var gzip = new GZIPOutputStream(bytes)) {
            gzip.write(JSON.writeValueAsBytes(form));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** @param fromFirst brings the first form, which had no number, up to date */
    public static <T extends Record> T read(byte[] bytes, Class<T> type, Consumer<ObjectNode> fromFirst) {
        try (var gzip = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            var tree = (ObjectNode) JSON.readTree(gzip.readAllBytes());
            int format = tree.path("format").asInt(1);
            if (format > FORMAT) {
                throw new NewerData("pages in form " + format);
            }
            if (format == 1) {
                fromFirst.accept(tree);
            }
            return JSON.treeToValue(tree, type);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
