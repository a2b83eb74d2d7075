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
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private FactsCodec() {}

    static byte[] write(PageFacts facts) {
        var bytes = new ByteArrayOutputStream();
        try (var gzip = new GZIPOutputStream(bytes)) {
            gzip.write(JSON.writeValueAsBytes(facts));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    static PageFacts read(byte[] bytes) {
        try (var gzip = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            return JSON.readValue(gzip.readAllBytes(), PageFacts.class);
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
