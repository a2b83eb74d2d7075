package jalon.cli;

import jalon.core.register.Register;
import jalon.core.run.Filing;
import jalon.core.sort.Learned;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A stream as it lies in a file. @param learned what its types are known by, from {@code samples/} beside the file */
record StreamFile(StreamDefinition definition, Learned learned) {

    /** It cannot be used, in words for people. */
    static final class Unusable extends Exception {
        private static final long serialVersionUID = 1L;

        Unusable(String words) {
            super(words);
        }
    }

    static StreamFile read(Path file) throws Unusable {
        StreamDefinition definition;
        try {
            definition = Streams.parse(Files.readString(file));
            if (!Filing.faults(definition).isEmpty()) {
                throw new Streams.InvalidStream(Filing.faults(definition));
            }
        } catch (IOException e) {
            throw new Unusable("the stream " + file + " could not be read: " + ProcessCommand.reason(e));
        } catch (Streams.InvalidStream e) {
            throw new Unusable("the stream " + file + " cannot be used:\n" + e.getMessage());
        }
        try {
            return new StreamFile(
                    definition, Learned.from(SampleFolder.beside(file).read()));
        } catch (IOException e) {
            throw new Unusable(ProcessCommand.reason(e));
        }
    }

    /**
     * The registers of a folder, by name.
     *
     * @param folder or null for none
     * @param warnings gets what is wrong in them
     */
    static Map<String, Register> registers(Path folder, List<String> warnings) throws IOException {
        Map<String, Register> all = new HashMap<>();
        if (folder == null) {
            return all;
        }
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, "*.csv")) {
            for (Path csv : files) {
                String name = csv.getFileName().toString().replaceFirst("\\.csv$", "");
                try (Reader in = Files.newBufferedReader(csv, StandardCharsets.UTF_8)) {
                    Register register = Register.parse(name, in);
                    all.put(name, register);
                    warnings.addAll(register.faults());
                }
            }
        }
        return all;
    }
}
