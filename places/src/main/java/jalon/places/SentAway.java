package jalon.places;

import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.io.InputStream;
import java.util.Collection;

/** A place that documents are sent to and cannot be fetched from again. */
interface SentAway extends OwnPlace {
    @Override
    default boolean keeps() {
        return false;
    }

    @Override
    default InputStream open(String file) throws IOException {
        throw new PlaceTrouble(Why.REFUSED, "what was sent to " + where() + " cannot be fetched again");
    }

    @Override
    default void rewrite(String file, Ready with, Collection<String> before) throws IOException {
        throw new PlaceTrouble(Why.REFUSED, "what is sent to " + where() + " lies nowhere, and has no list");
    }

    @Override
    default void remove(String file) throws IOException {
        throw new PlaceTrouble(Why.REFUSED, "what was sent to " + where() + " cannot be taken back");
    }
}
