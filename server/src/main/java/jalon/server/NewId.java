package jalon.server;

/** The key of a row that is being added, filled in by the database. */
public final class NewId {
    private long id;

    public long getId() {
        return id;
    }

    public void setId(long id) {
        this.id = id;
    }
}
