package jalon.server.archive;

import jalon.server.Problem;
import jalon.server.rights.Rights;
import jalon.server.stream.StreamLibrary;
import org.springframework.stereotype.Component;

/** Gives people the archived documents that they may see, and no others. */
@Component
class Sights {
    private final ArchiveRows rows;
    private final Rights rights;
    private final StreamLibrary streams;

    Sights(ArchiveRows rows, Rights rights, StreamLibrary streams) {
        this.rows = rows;
        this.rights = rights;
        this.streams = streams;
    }

    /** @param signIn of the person */
    Sight of(String signIn) {
        return new Sight(rights, new Confidential(streams), signIn);
    }

    /** @throws jalon.server.NotPossible when it is not there for this person */
    ArchiveRows.DocumentRow document(long id, Sight sight) {
        return rows.find(id).filter(d -> sight.sees(d.kind())).orElseThrow(() -> Problem.NO_SUCH_DOCUMENT.with());
    }

    /** @throws jalon.server.NotPossible when this person may not change it */
    ArchiveRows.DocumentRow workable(long id, Sight sight) {
        ArchiveRows.DocumentRow d = whole(id, sight);
        if (!sight.indexes(d.kind())) {
            throw Problem.NOT_YOUR_RIGHT.with();
        }
        return d;
    }

    /** @throws jalon.server.NotPossible when its pages are not for this person */
    ArchiveRows.DocumentRow whole(long id, Sight sight) {
        ArchiveRows.DocumentRow d = document(id, sight);
        if (!sight.seesPages(d.kind())) {
            throw Problem.CONFIDENTIAL_PAGES.with();
        }
        return d;
    }
}
