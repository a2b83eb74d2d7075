package jalon.demo;

/** What is printed on one side of a sheet. */
@FunctionalInterface
public interface Sheet {
    void print(Pen pen);

    Sheet BLANK = pen -> {};
}
