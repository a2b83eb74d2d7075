package jalon.server.work;

import com.github.kagkarlsson.scheduler.exceptions.SerializationException;
import com.github.kagkarlsson.scheduler.serializer.JavaSerializer;
import com.github.kagkarlsson.scheduler.serializer.Serializer;
import java.nio.charset.StandardCharsets;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** What a task has to know, as it lies in the database: JSON. The version before kept serialized objects. */
final class StoredTasks implements Serializer {
    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    /** The first byte of a serialized object (Java Object Serialization Specification, 6.4.2); no JSON begins with it. */
    private static final byte OBJECT = (byte) 0xAC;

    private final Serializer before = new JavaSerializer();

    @Override
    public byte[] serialize(Object data) {
        return data == null ? null : JSON.writeValueAsBytes(data);
    }

    @Override
    public <T> T deserialize(Class<T> type, byte[] bytes) {
        if (bytes == null || bytes.length == 0) {
            return null;
        }
        if (bytes[0] == OBJECT) {
            return before.deserialize(type, bytes);
        }
        try {
            return JSON.readValue(bytes, type);
        } catch (JacksonException e) {
            throw new SerializationException(
                    "a task cannot be understood and waits for a version that can: "
                            + new String(bytes, StandardCharsets.UTF_8),
                    e);
        }
    }
}
