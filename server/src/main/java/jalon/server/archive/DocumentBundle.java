package jalon.server.archive;

import jalon.server.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBufferedFile;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.springframework.stereotype.Service;

/** Several archived documents as one file to take along. */
@Service
public class DocumentBundle {
    private static final int MOST = 200;

    private final Archive archive;

    DocumentBundle(Archive archive) {
        this.archive = archive;
    }

    /** The files of these documents, in their order; all of them are there for this person, or none is given. */
    public List<Path> files(List<Long> ids, String who) {
        if (ids.isEmpty() || ids.size() > MOST) {
            throw Problem.BUNDLE_SIZE.with(MOST);
        }
        return archive.files(ids, who);
    }

    /** One after the other in one PDF. */
    public void pdf(List<Path> files, OutputStream out) throws IOException {
        PDFMergerUtility merger = new PDFMergerUtility();
        for (Path file : files) {
            merger.addSource(new RandomAccessReadBufferedFile(file));
        }
        merger.setDestinationStream(out);
        merger.mergeDocuments(IOUtils.createTempFileOnlyStreamCache());
    }

    /** Each by its name, numbered where two have the same. */
    public void zip(List<Path> files, OutputStream out) throws IOException {
        Set<String> names = new HashSet<>();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            // They are compressed already.
            zip.setLevel(0);
            for (Path file : files) {
                zip.putNextEntry(new ZipEntry(free(file.getFileName().toString(), names)));
                try (InputStream in = Files.newInputStream(file)) {
                    in.transferTo(zip);
                }
                zip.closeEntry();
            }
        }
    }

    private static String free(String name, Set<String> taken) {
        int dot = name.lastIndexOf('.') < 0 ? name.length() : name.lastIndexOf('.');
        String free = name;
        for (int n = 2; !taken.add(free.toLowerCase(java.util.Locale.ROOT)); n++) {
            free = name.substring(0, dot) + " (" + n + ")" + name.substring(dot);
        }
        return free;
    }
}
