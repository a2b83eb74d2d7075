package jalon.cli;

import jalon.core.register.Register;
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
     * @param warnings gets what is wrong in them
     */
    static Map<String, Register> read(Path folder, List<String> warnings) throws IOException {
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
