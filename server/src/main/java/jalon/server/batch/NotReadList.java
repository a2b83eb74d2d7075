package jalon.server.batch;

import jalon.core.page.Unread;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What of a batch could not be read. */
@Component
public class NotReadList {
    private final BatchRows rows;

    NotReadList(BatchRows rows) {
        this.rows = rows;
    }

    /**
     * A file, or a page of one, that could not be read.
     *
     * @param fileId of the file
     * @param page number in the batch, or null when nothing of the file could be read
     */
    public record NotRead(long fileId, String file, Integer page, Integer filePage, Unread reason) {}

    /** Files and pages that could not be read, with the reason. */
    public List<NotRead> of(Batch batch) {
        List<NotRead> all = new ArrayList<>();
        Map<Long, String> names = new HashMap<>();
        for (BatchRows.FileRow file : rows.files(batch.id())) {
            names.put(file.id(), file.name());
            if (file.rejected() != null) {
                all.add(new NotRead(file.id(), file.name(), null, null, file.rejected()));
            }
        }
        for (BatchRows.PageRow page : rows.rejectedPages(batch.id())) {
            all.add(new NotRead(
                    page.in().fileId(),
                    names.get(page.in().fileId()),
                    page.no(),
                    page.in().page(),
                    page.rejected()));
        }
        return all;
    }
}
