package jalon.cli;

import jalon.core.output.FilingPlace;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.places.PlaceSettings;
import jalon.places.PlaceTrouble;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The organisation's own places, from a file as a server takes them too. */
final class PlacesFile {
    private final Map<String, PlaceSettings> places = new HashMap<>();

    /** @param file null for none */
    static PlacesFile read(Path file) throws IOException {
        var read = new PlacesFile();
        if (file != null) {
            try {
                for (PlaceSettings.Named place :
                        JsonMapper.builder().build().readValue(Files.readString(file), PlaceSettings.Named[].class)) {
                    read.places.put(place.name(), place.settings());
                }
            } catch (JacksonException e) {
                throw new IOException(file + " names no places: " + e.getOriginalMessage(), e);
            }
        }
        return read;
    }

    /** @return the first place that a stream files to and that is not named here, or null */
    String missing(StreamDefinition stream) {
        return stream.destinations().stream()
                .map(Destination::place)
                .filter(place -> place != null && !places.containsKey(place))
                .findFirst()
                .orElse(null);
    }

    static String words(PlaceTrouble trouble) {
        String what = trouble.getMessage();
        return switch (trouble.why()) {
            case NOT_REACHED -> "nothing answers at " + what;
            case HOST_KEY_NOT_SAID ->
                "it has the host key " + what + "; say that one in the file of places if it is right";
            case OTHER_HOST_KEY -> "it has another host key than is said, " + what;
            case NOT_TRUSTED -> "the certificate of " + what + " is not one that this machine trusts";
            case FULL -> "there is no room left at " + what;
            case NOT_LET_IN -> "it does not let " + what + " in";
            case NO_SECRET ->
                "there is no secret to sign with what is sent to it"
                        + ": set password to the one agreed with whoever runs it";
            case BAD_KEY -> "the private key cannot be read";
            case NO_FOLDER -> "there is no folder " + what + " there, and it is not made";
            case NOT_ALLOWED -> "it does not allow this: " + what;
            case WRITES_OVER -> what + " does not refuse a name that is taken; nothing is filed there";
            case TOO_LARGE -> "it is too large to be sent; " + what + " at most";
            case LACKS -> "it is not said or has no value: " + what;
            case NOT_THE_SAME -> "what was written to " + what + " is not what is read back";
            case REFUSED -> what;
        };
    }

    FilingPlace open(Destination destination) {
        return places.get(destination.place()).place();
    }
}
