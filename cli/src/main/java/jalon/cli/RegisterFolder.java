package jalon.cli;

import jalon.core.register.Register;
import jalon.core.stream.RegisterUse;
import jalon.core.stream.StreamDefinition;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Registers as they lie in a folder, each NAME.csv. */
final class RegisterFolder {
    private RegisterFolder() {}

    /**
     * The registers of a folder, by name.
     *
     * @param folder or null for none
     * @param stream that looks things up in them
     * @param warnings gets what is wrong in them, and which are not there
     */
    static Map<String, Register> read(Path folder, StreamDefinition stream, List<String> warnings) throws IOException {
        Map<String, Register> all = folder == null ? Map.of() : read(folder, warnings);
        RegisterUse.of(stream).stream()
                .filter(name -> !all.containsKey(name))
                .forEach(name -> warnings.add("the stream looks things up in the register " + name
                        + ", which is not there, so that these values stay in doubt; give a folder with " + name
                        + ".csv by --registers"));
        return all;
    }

    private static Map<String, Register> read(Path folder, List<String> warnings) throws IOException {
        Map<String, Register> all = new HashMap<>();
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
