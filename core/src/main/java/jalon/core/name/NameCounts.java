package jalon.core.name;

/** Gives numbers for names: none twice. */
public interface NameCounts {
    /**
     * @param of what is counted, such as a folder or a day of a stream; the same text for the same thing always
     * @return from 1 on, one higher each time; numbers may be left out, never given again
     */
    long next(String of);
}
