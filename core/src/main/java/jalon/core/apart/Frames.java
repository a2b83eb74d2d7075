package jalon.core.apart;

import com.fasterxml.jackson.annotation.JsonInclude;
import jalon.core.page.Unread;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the two processes say to each other: pieces of JSON, each with its length in four bytes before it. */
final class Frames {
    static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    /** The words of a document of ten thousand dense pages. */
    private static final int LONGEST = 1 << 30;

    private Frames() {}

    /**
     * What a worker says.
     *
     * @param pixels of a page it has just decoded; 0 when it says something else
     * @param answer what came of the work, or null
     * @param unreadable why the file cannot be read, or null
     * @param why what made the work fail, or null; then {@code reason} says more
     */
    @JsonInclude(JsonInclude.Include.NON_DEFAULT)
    record Said(long pixels, JsonNode answer, Unread unreadable, WorkFailed.Why why, Unread reason) {
        /** The first thing that is said. */
        static final Said READY = new Said(0, null, null, null, null);

        static Said decoded(long pixels) {
            return new Said(pixels, null, null, null, null);
        }

        static Said answer(Record answer) {
            return new Said(0, JSON.valueToTree(answer), null, null, null);
        }

        static Said unreadable(Unread reason) {
            return new Said(0, null, reason, null, null);
        }

        static Said failed(WorkFailed.Why why, Unread reason) {
            return new Said(0, null, null, why, reason);
        }
    }

    static void write(DataOutputStream out, byte[] json) throws IOException {
        out.writeInt(json.length);
        out.write(json);
        out.flush();
    }

    /**
     * @throws EOFException when the other side has gone
     * @throws IOException when what comes is no frame
     */
    static byte[] read(DataInputStream in) throws IOException {
        int length = in.readInt();
        if (length < 0 || length > LONGEST) {
            throw new IOException("a frame of " + length + " bytes");
        }
        byte[] json = in.readNBytes(length);
        if (json.length < length) {
            throw new EOFException();
        }
        return json;
    }

    static <T> T parse(byte[] json, Class<T> type) throws IOException {
        try {
            return JSON.readValue(json, type);
        } catch (JacksonException e) {
            throw new IOException("a frame that is no " + type.getSimpleName(), e);
        }
    }
}
