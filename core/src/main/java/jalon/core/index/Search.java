package jalon.core.index;

import jalon.core.register.Register;
import jalon.core.register.RowMatch;
import jalon.core.stream.StreamDefinition.DocumentType;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a finder may use.
 *
 * @param type of the document
 * @param rows of a register that the document may be about, worked out once
 * @param ticks its boxes to tick, looked at once
 * @param values other fields' values by their names, worked out when they are asked for; empty for a name there is not
 */
record Search(
        DocumentType type,
        Document document,
        ZoneReader zones,
        Known known,
        TicksOfDocument ticks,
        Function<String, Optional<FieldValue>> values,
        Function<Register, List<RowMatch>> rows) {}
