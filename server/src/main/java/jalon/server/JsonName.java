package jalon.server;

import com.fasterxml.jackson.annotation.JsonProperty;

/** The name a constant has outside: in the API, in the database and in the log. */
public final class JsonName {
    private JsonName() {}

    /** What its {@link JsonProperty} says, else its own name. */
    public static String of(Enum<?> constant) {
        try {
            JsonProperty named =
                    constant.getDeclaringClass().getField(constant.name()).getAnnotation(JsonProperty.class);
            return named == null ? constant.name() : named.value();
        } catch (NoSuchFieldException e) {
            throw new IllegalStateException(e);
        }
    }
}
