package jalon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FileCountsTest {
    @TempDir
    private Path folder;

    @Test
    void noNumberIsGivenTwiceAndALaterRunGoesOn() {
        var counts = new FileCounts(folder);
        Set<Long> given = ConcurrentHashMap.newKeySet();
        IntStream.range(0, 200).parallel().forEach(i -> given.add(counts.next("letters")));
        assertThat(given).hasSize(200);
        var later = new FileCounts(folder);
        assertThat(later.next("letters")).isEqualTo(201);
        assertThat(later.next("letters 2026-11-28")).isEqualTo(1);
    }
}
