package jalon.core.index;

import jalon.core.evidence.Reason;
import jalon.core.register.Register;
import jalon.core.register.RowMatch;
import jalon.core.register.RowMatch.Compared;
import jalon.core.register.RowMatch.Level;
import jalon.core.stream.Finder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A value of the register row that another field's value names. */
record RegisterFinder(Finder.ByRegister wanted) implements FieldFinder {
    @Override
    public Found find(Search search) {
        Register register = search.known().registers().get(wanted.register());
        if (register == null) {
            return Found.nothing(Reason.Code.NO_REGISTER.with(wanted.register()));
        }
        if (wanted.byPaper()) {
            return byPaper(search.rows().apply(register));
        }
        Optional<FieldValue> key = search.values().apply(wanted.from()).filter(v -> v.value() != null);
        if (key.isEmpty()) {
            return search.nothingOf(List.of(wanted.from()));
        }
        List<String> values = register.rows(wanted.column(), key.get().value()).stream()
                .map(row -> row.getOrDefault(wanted.take(), ""))
                .filter(value -> !value.isBlank())
                .distinct()
                .toList();
        if (values.isEmpty()) {
            return Found.nothing(Reason.Code.NO_ROW.with(
                    wanted.register(), wanted.column(), key.get().value()));
        }
        boolean ofADoubt = search.ofADoubt(wanted.from());
        Reason why = Reason.Code.OF_A_DOUBT.with(search.title(wanted.from()));
        return Found.of(values.stream()
                .map(value -> reading(value, key.get()))
                .map(reading -> ofADoubt ? reading.doubted(why) : reading)
                .toList());
    }

    /** Rows that have the same here are one answer. */
    private Found byPaper(List<RowMatch> all) {
        List<RowMatch> matches = all.stream().filter(m -> !taken(m).isBlank()).toList();
        Map<String, Double> certainties = new LinkedHashMap<>();
        matches.forEach(m -> certainties.merge(taken(m), m.certainty(), Double::sum));
        List<String> values = certainties.keySet().stream()
                .sorted(Comparator.comparing(certainties::get, Comparator.reverseOrder()))
                .toList();
        if (values.isEmpty()) {
            return Found.nothing(Reason.Code.NO_ROW_ON_PAPER.with(wanted.register()));
        }
        String value = values.get(0);
        RowMatch best =
                matches.stream().filter(m -> taken(m).equals(value)).findFirst().orElseThrow();
        Compared shown = best.columns().get(0);
        var reading = Reading.of(
                        value, Math.min(1, certainties.get(value)), shown.page(), shown.box(), FoundBy.REGISTER)
                .others(values.subList(1, values.size()));
        for (Reason why : why(best)) {
            reading = reading.doubted(why);
        }
        if (!best.telling()) {
            reading = reading.doubted(Reason.Code.ROW_OF_A_FAMILY.with());
        }
        return new Found(
                List.of(reading),
                List.of(),
                matches.stream()
                        .map(m -> new FieldValue.RowFound(taken(m), rounded(m.certainty()), why(m)))
                        .toList());
    }

    private String taken(RowMatch match) {
        return match.row().getOrDefault(wanted.take(), "");
    }

    private static double rounded(double certainty) {
        return Math.round(certainty * 1000) / 1000.0;
    }

    private static List<Reason> why(RowMatch match) {
        List<Reason> why = new ArrayList<>();
        say(why, Reason.Code.ROW_AGREES, match, Level.SAME);
        say(why, Reason.Code.ROW_NEARLY, match, Level.NEAR);
        say(why, Reason.Code.ROW_IN_PART, match, Level.PART);
        say(why, Reason.Code.ROW_LACKS, match, Level.ABSENT);
        return why;
    }

    private static void say(List<Reason> why, Reason.Code code, RowMatch match, Level level) {
        if (!match.at(level).isEmpty()) {
            why.add(code.with(String.join(", ", match.at(level))));
        }
    }

    /** A row is as good as the key it was found by; what a person settled is certain. */
    private static Reading reading(String value, FieldValue key) {
        double certainty = key.state() == FieldValue.State.SETTLED ? 1 : key.certainty();
        return Reading.of(value, certainty, key.page(), key.boxMm(), FoundBy.REGISTER);
    }
}
