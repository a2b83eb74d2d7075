package jalon.core.run;

import jalon.core.image.Finding;
import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.read.PageFacts;
import jalon.core.register.Register;
import jalon.core.sort.Learned;
import jalon.core.sort.Sorted;
import jalon.core.split.Cut;
import jalon.core.stream.StreamDefinition;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;

/**
 * Remembers what the rules make of a batch's pages, and the types and fields of its documents. A batch is looked at again
 * after every decision of a person, and a decision changes one document of perhaps two hundred; the others give the same as
 * before, and the machine's own first look never changes.
 */
@FunctionalInterface
public interface BatchMemory {
    /** Works everything out each time. */
    BatchMemory NONE = (key, work) -> work.get();

    /**
     * What the machine alone makes of the pages.
     *
     * @param findings figures of images beyond their limits, by page number
     */
    record FirstLook(Cut cut, Map<Integer, List<Finding>> findings) {}

    /** @param work how to work it out when it is not remembered */
    default FirstLook look(LookKey key, Supplier<FirstLook> work) {
        return work.get();
    }

    /** @param work how to work it out when it is not remembered */
    default Sorted sorted(SortKey key, Supplier<Sorted> work) {
        return work.get();
    }

    /** Whether they are the same objects: comparing their thousands of words would cost more than it saves. */
    private static boolean areSame(List<PageFacts> some, List<PageFacts> others) {
        boolean same = some.size() == others.size();
        for (int i = 0; same && i < some.size(); i++) {
            same = some.get(i) == others.get(i);
        }
        return same;
    }

    /** All that a first look depends on; each the same when it is the same object, as are the pages in their list. */
    final class LookKey {
        private final StreamDefinition stream;
        private final Learned learned;
        private final Map<String, Register> registers;
        private final List<PageFacts> pages;

        LookKey(StreamDefinition stream, Learned learned, Map<String, Register> registers, List<PageFacts> pages) {
            this.stream = stream;
            this.learned = learned;
            this.registers = registers;
            this.pages = pages;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof LookKey k
                    && stream == k.stream
                    && learned == k.learned
                    && registers == k.registers
                    && areSame(pages, k.pages);
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(stream)
                    + (pages.isEmpty() ? 0 : System.identityHashCode(pages.get(0)))
                    + pages.size();
        }
    }

    /** All that the type of a document depends on; each the same when it is the same object. */
    final class SortKey {
        private final StreamDefinition stream;
        private final Learned learned;
        private final PageFacts first;

        SortKey(StreamDefinition stream, Learned learned, PageFacts first) {
            this.stream = stream;
            this.learned = learned;
            this.first = first;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof SortKey k && stream == k.stream && learned == k.learned && first == k.first;
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(stream) + System.identityHashCode(first);
        }
    }

    /** @param work how to work it out when it is not remembered */
    Map<String, FieldValue> fields(Key key, Supplier<Map<String, FieldValue>> work);

    /**
     * All that the fields of a document depend on. Pages, types and registers are the same when they are the same object.
     */
    final class Key {
        private final DocumentType type;
        private final Document document;
        private final Map<String, FieldValue> settled;
        private final Map<String, Register> registers;
        private final LocalDate today;

        Key(
                DocumentType type,
                Document document,
                Map<String, FieldValue> settled,
                Map<String, Register> registers,
                LocalDate today) {
            this.type = type;
            this.document = document;
            this.settled = settled;
            this.registers = registers;
            this.today = today;
        }

        @Override
        public boolean equals(Object other) {
            if (!(other instanceof Key k)
                    || type.fields() != k.type.fields()
                    || type.layout() != k.type.layout()
                    || registers != k.registers
                    || !areSame(document.pages(), k.document.pages())
                    || !areSame(document.related(), k.document.related())
                    || document.separator().orElse(null)
                            != k.document.separator().orElse(null)) {
                return false;
            }
            return today.equals(k.today)
                    && document.knowsTheSameAs(k.document)
                    && document.group().equals(k.document.group())
                    && Objects.equals(document.variant(), k.document.variant())
                    && settled.equals(k.settled);
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(document.pages().get(0)) + settled.hashCode();
        }
    }
}
