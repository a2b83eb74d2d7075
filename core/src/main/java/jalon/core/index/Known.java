package jalon.core.index;

import jalon.core.register.Register;
import java.time.LocalDate;
import java.util.Map;

/**
 * What values are held against.
 *
 * @param registers by name
 * @param today for dates
 */
record Known(Map<String, Register> registers, LocalDate today) {}
