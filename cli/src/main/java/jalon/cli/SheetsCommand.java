package jalon.cli;

import jalon.core.output.ControlSheet;
import jalon.core.output.ControlSheets;
import jalon.core.output.StreamSheets;
import jalon.core.register.Register;
import jalon.core.split.BatchHeader;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.Streams;
import java.io.IOException;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Writes the sheets that a stream's rules cut by, to be printed. Exit code 0, or 2 when nothing could be written. */
@Command(
        name = "sheets",
        description = "Writes a stream's separators, headers, gap and cover sheets as PDF, to be printed.",
        mixinStandardHelpOptions = true)
final class SheetsCommand implements Callable<Integer> {
    @Option(names = "--stream", required = true, description = "Stream definition (JSON).")
    private Path stream;

    @Option(
            names = "--kind",
            required = true,
            description = "header, document, group, batch, gap, or cover (one for each row of a register).")
    private StreamSheets.Kind kind;

    @Option(names = "--out", required = true, description = "PDF to write.")
    private Path out;

    @Option(names = "--paper", defaultValue = "A4", description = "a4 or letter (${DEFAULT-VALUE}).")
    private ControlSheet.Paper paper;

    @Option(names = "--copies", defaultValue = "1", description = "How many of one kind (${DEFAULT-VALUE}).")
    private int copies;

    @Option(names = "--pages", description = "On a header: images that follow.")
    private Integer pages;

    @Option(names = "--documents", description = "On a header: documents that follow.")
    private Integer documents;

    @Option(names = "--register", description = "For covers: the register, a CSV file.")
    private Path register;

    @Option(names = "--column", description = "For covers: the column whose value the barcode says.")
    private String column;

    @Option(names = "--named", description = "For covers: the column that stands on them for people.")
    private String named;

    @Option(names = "--find", defaultValue = "", description = "For covers: words that a row must have.")
    private String find;

    @Override
    public Integer call() {
        try {
            StreamDefinition definition = Streams.parse(Files.readString(stream));
            List<ControlSheet> sheets = sheets(definition);
            if (sheets.isEmpty()) {
                return ProcessCommand.unusable("the stream " + stream + " would not know such a sheet; it knows: "
                        + StreamSheets.known(definition).stream()
                                .map(k -> k.name().toLowerCase(java.util.Locale.ROOT))
                                .collect(Collectors.joining(", ")));
            }
            try (OutputStream pdf = Files.newOutputStream(out)) {
                ControlSheets.write(sheets, paper, pdf);
            }
            return 0;
        } catch (Streams.InvalidStream e) {
            return ProcessCommand.unusable("the stream " + stream + " cannot be used:\n" + e.getMessage());
        } catch (IOException e) {
            return ProcessCommand.unusable(ProcessCommand.reason(e) + " cannot be read or written");
        } catch (IllegalArgumentException e) {
            return ProcessCommand.unusable(e.getMessage());
        }
    }

    private List<ControlSheet> sheets(StreamDefinition definition) throws IOException {
        return switch (kind) {
            case HEADER -> {
                var header = new BatchHeader(
                        definition.stream(), counted("--pages", pages), counted("--documents", documents));
                yield List.of(StreamSheets.header(definition, header.barcode(), header.counts()));
            }
            case COVER -> covers(definition);
            default -> StreamSheets.copies(definition, kind, counted("--copies", copies));
        };
    }

    private static Integer counted(String option, Integer count) {
        if (count != null && (count < 1 || count > BatchHeader.HIGHEST_COUNT)) {
            throw new IllegalArgumentException(option + " is a number from 1 to " + BatchHeader.HIGHEST_COUNT);
        }
        return count;
    }

    private List<ControlSheet> covers(StreamDefinition definition) throws IOException {
        if (register == null || column == null) {
            throw new IllegalArgumentException("covers need --register and --column");
        }
        try (Reader in = Files.newBufferedReader(register, StandardCharsets.UTF_8)) {
            Register rows = Register.parse(register.getFileName().toString(), in);
            for (String name : named == null ? List.of(column) : List.of(column, named)) {
                if (!rows.columns().contains(name)) {
                    throw new IllegalArgumentException("the register " + register + " has no column " + name
                            + "; it has " + String.join(", ", rows.columns()));
                }
            }
            List<ControlSheet> sheets = StreamSheets.covers(definition, rows.holding(find), column, named)
                    .orElse(List.of());
            if (sheets.isEmpty() && StreamSheets.known(definition).contains(StreamSheets.Kind.COVER)) {
                throw new IllegalArgumentException("no row of " + register + " has " + find);
            }
            return sheets;
        }
    }
}
