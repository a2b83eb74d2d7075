package jalon.server.archive;

import jalon.find.Seen;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import java.util.Set;

/** What one person may see of archived documents, at this moment. */
final class Sight implements Seen {
    private final Rights rights;
    private final Confidential confidential;
    private final String who;

    Sight(Rights rights, Confidential confidential, String who) {
        this.rights = rights;
        this.confidential = confidential;
        this.who = who;
    }

    @Override
    public How of(String stream, String type) {
        if (!rights.may(who, Right.SEE, stream, type)) {
            return How.NOT;
        }
        if (rights.may(who, Right.SEE_CONFIDENTIAL, stream, type)) {
            return How.WHOLE;
        }
        return confidential.isType(stream, type) ? How.NOT : How.OPEN;
    }

    /** Whether documents of this kind are there at all for this person. */
    boolean sees(FoundDocuments.Kind kind) {
        return of(kind.stream(), kind.type()) != How.NOT;
    }

    boolean indexes(FoundDocuments.Kind kind) {
        return rights.may(who, Right.INDEX, kind.stream(), kind.type());
    }

    /** Names of the fields whose values are not for this person. */
    Set<String> hidden(FoundDocuments.Kind kind) {
        return of(kind.stream(), kind.type()) == How.WHOLE ? Set.of() : confidential.fields(kind.stream(), kind.type());
    }

    /**
     * Whether pages of such documents are: a confidential value may stand on any of them, also one that was not read, or was
     * corrected away.
     */
    boolean seesPages(FoundDocuments.Kind kind) {
        return hidden(kind).isEmpty();
    }
}
