package jalon.core.stream;

import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What of the organisation's registers a stream looks things up in. */
public final class RegisterUse {
    private RegisterUse() {}

    /** The columns of a register that a stream's fields name. */
    public static Set<String> columns(StreamDefinition stream, String register) {
        Set<String> columns = new TreeSet<>();
        fields(stream).forEach(field -> {
            field.finders().forEach(finder -> {
                if (finder instanceof Finder.ByRegister by && by.register().equals(register)) {
                    columns.add(by.take());
                    if (!by.byPaper()) {
                        columns.add(by.column());
                    }
                }
            });
            field.checks().forEach(check -> {
                if (check instanceof Check.InRegister in && in.register().equals(register)) {
                    columns.add(in.column());
                }
            });
        });
        return columns;
    }

    /** The registers that any fields of a stream are looked up in or held against. */
    public static Set<String> of(StreamDefinition stream) {
        Set<String> registers = new TreeSet<>();
        stream.types().forEach(type -> registers.addAll(of(type)));
        registers.addAll(of(stream.cut().groups().asType()));
        return registers;
    }

    /** The registers that fields of a document type are looked up in or held against. */
    public static Set<String> of(StreamDefinition.DocumentType type) {
        Set<String> registers = new TreeSet<>();
        type.fields().forEach(field -> {
            field.finders().forEach(finder -> {
                if (finder instanceof Finder.ByRegister by) {
                    registers.add(by.register());
                }
            });
            field.checks().forEach(check -> {
                if (check instanceof Check.InRegister in) {
                    registers.add(in.register());
                }
            });
        });
        return registers;
    }

    /** Whether rows are looked for on the other documents of a document's group too. */
    public static boolean inWholeGroup(StreamDefinition.DocumentType type) {
        return type.fields().stream()
                .flatMap(field -> field.finders().stream())
                .anyMatch(finder -> finder instanceof Finder.ByRegister by && by.byPaper() && by.wholeGroup());
    }

    private static Stream<Field> fields(StreamDefinition stream) {
        return Stream.concat(
                        stream.types().stream(), Stream.of(stream.cut().groups().asType()))
                .flatMap(type -> type.fields().stream());
    }
}
