package jalon.server.archive;

import jalon.find.Seen;
import jalon.server.rights.Right;
import jalon.server.rights.Rights;
import java.util.Map;
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

    /** Sign-in of the person. */
    String who() {
        return who;
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

    /** Names of the fields whose values are not for this person. */
    Set<String> hidden(FoundDocuments.Kind kind) {
        return of(kind.stream(), kind.type()) == How.WHOLE ? Set.of() : confidential.fields(kind.stream(), kind.type());
    }

    /** Whether pages of a document are: a confidential value stands on them, on which one nobody can promise. */
    boolean seesPages(FoundDocuments.Kind kind, Map<String, String> values) {
        return hidden(kind).stream().noneMatch(values::containsKey);
    }
}
