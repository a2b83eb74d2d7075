package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where filed documents go.
 *
 * @param place of the organisation's, by the name that it is set up under; null for Jalon's own folders and archive
 * @param folder template of the folder below the destination; parts are parted by {@code /}
 * @param file template of the file name without its ending
 * @param properties what a place is told of a document beside its files, templates by name; which names mean something is the
 *     place's own
 * @param list what has a growing list of what is filed there; null for nothing
 */
public record Destination(
        String destination,
        To to,
        String place,
        String folder,
        String file,
        List<Format> formats,
        Taken taken,
        Map<String, String> properties,
        Listed list) {
    public Destination {
        folder = folder == null ? "" : folder;
        file = file == null ? "{type} {batch}-{no:000}" : file;
        formats = formats == null || formats.isEmpty() ? List.of(Format.PDF) : List.copyOf(formats);
        taken = taken == null ? Taken.NUMBER : taken;
        properties = properties == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(properties));
    }

    /** The same, but for what happens when a name is taken. */
    public Destination whenTaken(Taken other) {
        return new Destination(destination, to, place, folder, file, formats, other, properties, list);
    }

    /** Where it is, by one name for all destinations that are there. */
    public String where() {
        return switch (to) {
            case PLACE -> "place:" + place;
            case ARCHIVE -> "archive";
            case FOLDER -> "folder:" + destination;
        };
    }

    /** What has a list of its own. */
    public enum Listed {
        @JsonProperty("folder")
        FOLDER,
        @JsonProperty("day")
        DAY
    }

    public enum To {
        @JsonProperty("folder")
        FOLDER(false),
        /** Jalon's own archive, in which documents are found again. */
        @JsonProperty("archive")
        ARCHIVE(true),
        /** A place of the organisation's. */
        @JsonProperty("place")
        PLACE(false);

        private final boolean searchable;

        To(boolean searchable) {
            this.searchable = searchable;
        }

        /** Whether what is filed there can be searched in Jalon. */
        public boolean searchable() {
            return searchable;
        }
    }

    public enum Format {
        @JsonProperty("pdf")
        PDF,
        /** A PDF that carries the data of {@link #JSON} in itself. */
        @JsonProperty("pdfData")
        PDF_WITH_DATA,
        /** A PDF whose pages take less room: print as sharp as it was, paper and pictures coarser. */
        @JsonProperty("pdfCompact")
        PDF_COMPACT,
        @JsonProperty("tiff")
        TIFF,
        /** Each page a picture of its own, without loss. */
        @JsonProperty("png")
        PNG,
        /** Each page a picture of its own, small. */
        @JsonProperty("jpeg")
        JPEG,
        @JsonProperty("text")
        TEXT,
        @JsonProperty("docx")
        DOCX,
        @JsonProperty("xml")
        XML,
        @JsonProperty("alto")
        ALTO,
        @JsonProperty("csv")
        CSV,
        @JsonProperty("json")
        JSON
    }

    /** What happens when a name is taken already; nothing is ever overwritten. */
    public enum Taken {
        @JsonProperty("number")
        NUMBER,
        @JsonProperty("refuse")
        REFUSE,
        /** It is a newer version of what has the name. */
        @JsonProperty("version")
        VERSION,
        /** The same, with the pages of what Jalon filed under the name before its own. */
        @JsonProperty("append")
        APPEND;

        /** Whether it comes as a newer version of what has the name. */
        public boolean isVersion() {
            return this == VERSION || this == APPEND;
        }
    }
}
