package jalon.cli;

import jalon.core.disk.Disk;
import jalon.core.name.NameCounts;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Numbers for names, remembered beside what is filed: runs into the same folder, also at the same time, give none twice. The
 * file is locked while a number is taken, and on the disk before it is used.
 */
final class FileCounts implements NameCounts {
    private static final String FILE = ".jalon-counts.json";
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<TreeMap<String, Long>> NUMBERS = new TypeReference<>() {};

    private final Path folder;

    FileCounts(Path folder) {
        this.folder = folder;
    }

    @Override
    public synchronized long next(String of) {
        try {
            Disk.makeFolders(folder);
            try (FileChannel file = FileChannel.open(
                            folder.resolve(FILE),
                            StandardOpenOption.CREATE,
                            StandardOpenOption.READ,
                            StandardOpenOption.WRITE);
                    var lock = file.lock()) {
                Map<String, Long> numbers = file.size() == 0
                        ? new TreeMap<>()
                        : JSON.readValue(Channels.newInputStream(file).readAllBytes(), NUMBERS);
                long next = numbers.merge(of, 1L, Long::sum);
                ByteBuffer bytes = ByteBuffer.wrap(JSON.writeValueAsBytes(numbers));
                file.position(0);
                while (bytes.hasRemaining()) {
                    file.write(bytes);
                }
                file.truncate(file.position());
                file.force(true);
                return next;
            }
        } catch (IOException e) {
            throw new UncheckedIOException("no number for a name could be taken: " + folder.resolve(FILE), e);
        }
    }
}
