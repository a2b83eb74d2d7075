package jalon.server.live;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** This server among those on one database; a new one at each start. */
@Component
public class Node {
    private final String id = UUID.randomUUID().toString();

    public String id() {
        return id;
    }
}
