package jalon.core.run;

import jalon.core.index.Document;
import jalon.core.index.FieldValue;
import jalon.core.index.Register;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.time.LocalDate;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Remembers the fields of documents. A batch is looked at again after every decision of a person, and a decision changes
 * one document of perhaps two hundred; the others give the same as before.
 */
@FunctionalInterface
public interface IndexMemory {
    /** Works everything out each time. */
    IndexMemory NONE = (key, work) -> work.get();

    /** @param work how to work it out when it is not remembered */
    Map<String, FieldValue> fields(Key key, Supplier<Map<String, FieldValue>> work);

    /**
     * All that the fields of a document depend on. Pages, types and registers are the same when they are the same object:
     * comparing their thousands of words would cost more than it saves.
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
                    || type != k.type
                    || registers != k.registers
                    || document.pages().size() != k.document.pages().size()
                    || document.separator().orElse(null)
                            != k.document.separator().orElse(null)) {
                return false;
            }
            for (int i = 0; i < document.pages().size(); i++) {
                if (document.pages().get(i) != k.document.pages().get(i)) {
                    return false;
                }
            }
            return today.equals(k.today)
                    && document.inherited().equals(k.document.inherited())
                    && settled.equals(k.settled);
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(document.pages().get(0)) + settled.hashCode();
        }
    }
}
