package jalon.cli;

import jalon.core.output.FilingPlace;
import jalon.core.output.remote.PlaceSettings;
import jalon.core.output.remote.RemotePlace;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
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

    private record Named(String name, PlaceSettings settings) {}

    /** @param file null for none */
    static PlacesFile read(Path file) throws IOException {
        var read = new PlacesFile();
        if (file != null) {
            try {
                for (Named place : JsonMapper.builder().build().readValue(Files.readString(file), Named[].class)) {
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

    FilingPlace open(Destination destination) {
        return new RemotePlace(places.get(destination.place()));
    }
}
