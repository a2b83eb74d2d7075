package jalon.core.register;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** A day, in any spelling; nearly, with its day and month swapped. */
final class DayLook implements ValueLook {
    private static final int MONTHS = 12;

    @Override
    public Set<String> keys(String value) {
        return Set.of(value);
    }

    @Override
    public Set<String> probes(Paper paper) {
        Set<String> keys = new HashSet<>();
        paper.days.forEach(day -> {
            keys.add(day.date().toString());
            swapped(day.date()).ifPresent(d -> keys.add(d.toString()));
        });
        return keys;
    }

    private static Optional<LocalDate> swapped(LocalDate date) {
        return date.getDayOfMonth() > MONTHS
                ? Optional.empty()
                : Optional.of(LocalDate.of(date.getYear(), date.getDayOfMonth(), date.getMonthValue()));
    }

    @Override
    public Seen on(Paper paper, String value) {
        LocalDate wanted;
        try {
            wanted = LocalDate.parse(value);
        } catch (DateTimeParseException e) {
            // A fault of the register; its other values still tell.
            return Seen.NOT;
        }
        Optional<LocalDate> swapped = swapped(wanted);
        Seen found = Seen.NOT;
        for (Paper.Day day : paper.days) {
            if (day.date().equals(wanted)) {
                return Seen.same(day.spot());
            }
            if (swapped.filter(day.date()::equals).isPresent()) {
                found = Seen.near(day.spot());
            }
        }
        return found;
    }
}
