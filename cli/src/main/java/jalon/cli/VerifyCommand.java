package jalon.cli;

import jalon.core.output.FilingPlaces;
import jalon.core.output.Fixity;
import jalon.core.stream.Destination;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import jalon.places.PlaceTrouble;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Looks whether what {@code process} filed still is what it filed. Exit code 0 when it is, 1 when a file is gone, changed or could not be
 * looked at, 2 for unusable arguments.
 */
@Command(
        name = "verify",
        description = "Looks whether what was filed is still there, byte for byte, by the report of its filing.",
        mixinStandardHelpOptions = true)
final class VerifyCommand implements Callable<Integer> {
    @Option(names = "--stream", required = true, description = "Stream definition (JSON) that it was filed by.")
    private Path stream;

    @Option(names = "--out", required = true, description = "Folder that it was written into, with its report.json.")
    private Path out;

    @Option(names = "--places", description = "File with the places that the stream files to.")
    private Path places;

    private final Map<Fixity, Integer> counts = new EnumMap<>(Fixity.class);
    private final Set<String> away = new HashSet<>();
    private int notLookedAt;

    @Override
    public Integer call() {
        try {
            StreamDefinition definition = Streams.parse(Files.readString(stream));
            PlacesFile own = PlacesFile.read(places);
            String missing = own.missing(definition);
            if (missing != null) {
                return ProcessCommand.unusable(
                        "the stream files to the place " + missing + "; name it in a file given with --places");
            }
            JsonNode report = JsonMapper.builder().build().readTree(Files.readString(out.resolve("report.json")));
            FilingPlaces all = FilingPlaces.withoutArchive(out, own::open);
            for (JsonNode document : report.path("documents")) {
                for (JsonNode delivery : document.path("deliveries")) {
                    check(definition, all, delivery);
                }
            }
        } catch (IOException e) {
            return ProcessCommand.unusable(ProcessCommand.reason(e) + " could not be read");
        } catch (Streams.InvalidStream | JacksonException e) {
            return ProcessCommand.unusable("the stream or the report cannot be used:\n" + e.getMessage());
        }
        int trouble = count(Fixity.CHANGED) + count(Fixity.GONE) + notLookedAt;
        System.out.println(
                count(Fixity.SAME) + " as filed, " + count(Fixity.CHANGED) + " changed, " + count(Fixity.GONE)
                        + " gone, " + count(Fixity.NOT_KEPT) + " sent away, " + notLookedAt + " not looked at");
        return trouble == 0 ? 0 : 1;
    }

    private int count(Fixity found) {
        return counts.getOrDefault(found, 0);
    }

    private void check(StreamDefinition definition, FilingPlaces all, JsonNode delivery) {
        String path = delivery.path("path").asString();
        String name = delivery.path("destination").asString();
        Destination destination = definition.destination(name).orElse(null);
        if (destination == null || away.contains(name)) {
            notLookedAt++;
            return;
        }
        try {
            String below = path.startsWith(name + "/") ? path.substring(name.length() + 1) : path;
            Fixity found = Fixity.of(
                    all.of(destination), below, delivery.path("sha256").asString());
            counts.merge(found, 1, Integer::sum);
            if (found.isTrouble()) {
                System.err.println("jalon: " + path + (found == Fixity.GONE ? " is gone" : " is not what was filed"));
            }
        } catch (IOException e) {
            away.add(name);
            notLookedAt++;
            System.err.println("jalon: what was filed at " + name + " cannot be looked at: "
                    + (e instanceof PlaceTrouble t ? PlacesFile.words(t) : ProcessCommand.reason(e)));
        }
    }
}
