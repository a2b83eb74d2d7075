package jalon.cli;

import jalon.core.index.ZoneReader;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.run.BatchContext;
import jalon.core.run.BatchMemory;
import jalon.core.run.BatchRun;
import jalon.core.run.BatchView;
import jalon.core.run.Filing;
import jalon.core.sort.Learned;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;

/** A stream as it lies in a file. @param learned what its types are known by, from {@code samples/} beside the file */
record StreamFile(StreamDefinition definition, Learned learned) {

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

    /** What it makes of a batch's pages today, with nobody's decisions. */
    BatchView index(List<PageFacts> pages, Map<String, Register> registers, ZoneReader zones) {
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        return new BatchRun(definition, learned, registers, zones, today, BatchContext.NOTHING, BatchMemory.NONE)
                .index(pages, List.of());
    }
}
