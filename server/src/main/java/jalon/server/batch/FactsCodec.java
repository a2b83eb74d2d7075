package jalon.server.batch;

import jalon.core.read.PageFacts;
import jalon.core.run.Decision;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import tools.jackson.databind.json.JsonMapper;

/** Page facts and decisions as they lie in the database. */
final class FactsCodec {
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(tools.jackson.databind.DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(tools.jackson.databind.DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private FactsCodec() {}

    /** @param what {@link PageFacts} or a {@link jalon.core.run.BatchView} */
    static byte[] write(Record what) {
        var bytes = new ByteArrayOutputStream();
        try (var gzip = new GZIPOutputStream(bytes)) {
            gzip.write(JSON.writeValueAsBytes(what));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    static <T extends Record> T read(byte[] bytes, Class<T> type) {
        try (var gzip = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            return JSON.readValue(gzip.readAllBytes(), type);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static String write(Decision decision) {
        return JSON.writerFor(Decision.class).writeValueAsString(decision);
    }

    static Decision decision(String body) {
        return JSON.readValue(body, Decision.class);
    }
}
