package jalon.bench.rows;

import jalon.bench.rows.People.Person;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** What somebody's letter says of them and of others, as an engine reads it: with variants, slips and misreadings. */
final class Notes {
    private static final String[] DAYS = {"dd.MM.yyyy", "d MMMM yyyy", "yyyy-MM-dd", "dd/MM/yyyy", "d. MMM yyyy"};
    private static final String[] FILL = {
        "Thank you for your reply about the matter that we spoke of", "Please find the papers attached",
        "we would be glad of an answer within two weeks", "The amount of 148,20 is still open since 12.03.2026",
        "as agreed on the telephone with your office", "Enclosed are three copies of the form 4471-B",
        "This concerns the contract of last year and the meter 88231"
    };

    private final People people;
    private final Random r;
    private final List<String> lines = new ArrayList<>();
    private int told;

    /**
     * @param about null for somebody whom the register does not have
     * @param knowable whether what stands there can be nobody else's in the register
     */
    record Note(List<String> lines, Person about, boolean knowable) {}

    Notes(People people, Random r) {
        this.people = people;
        this.r = r;
    }

    Note make() {
        int kind = r.nextInt(10);
        Person known = people.all.get(r.nextInt(people.all.size()));
        Person about = kind == 0 ? people.stranger() : kind == 1 ? people.relative(known) : known;
        letterhead();
        boolean named = name(about);
        boolean called = r.nextInt(2) == 0 && told(telephone(about.telephone()));
        boolean housed =
                r.nextInt(5) > 1 && told(garbled(about.street()) + (r.nextBoolean() ? ", " + about.town() : ""));
        boolean born = about.birth() != null && r.nextInt(3) == 0 && told("born " + day(about.birth()));
        for (int i = 0; i < 3 + r.nextInt(3); i++) {
            lines.add(FILL[r.nextInt(FILL.length)]);
        }
        if (r.nextInt(8) == 0) {
            Person other = people.all.get(r.nextInt(people.all.size()));
            lines.add("with the consent of " + other.given() + " " + other.family());
        }
        Collections.shuffle(lines.subList(3, lines.size()), r);
        long alike = people.all.stream()
                .filter(p -> named && sameName(p, about) || !named && p.family().equals(about.family()))
                .filter(p -> !called || p.telephone().equals(about.telephone()))
                .filter(p -> !housed || p.street().equals(about.street()))
                .filter(p -> !born || about.birth().equals(p.birth()))
                .count();
        boolean knowable = alike == 1 && (told >= 1 || alone(about));
        return new Note(List.copyOf(lines), kind < 2 ? null : about, kind >= 2 && knowable);
    }

    private static boolean sameName(Person p, Person q) {
        return p.given().equals(q.given()) && p.family().equals(q.family());
    }

    /** A name by which only one person goes, with nothing else on the paper, may still be a namesake's: not counted. */
    private static boolean alone(Person about) {
        return about == null;
    }

    private boolean told(String line) {
        lines.add(line);
        told++;
        return true;
    }

    private void letterhead() {
        Person clerk = people.stranger();
        lines.add("Office of Works, " + clerk.street() + ", Tel. 0471 " + (100_000 + r.nextInt(900_000)));
        lines.add("Your contact: " + clerk.given() + " " + clerk.family() + ", room " + r.nextInt(300));
        lines.add(day(LocalDate.of(2026, 1 + r.nextInt(11), 1 + r.nextInt(28))));
    }

    /** @return whether the given name stands there in full */
    private boolean name(Person p) {
        String given = p.given();
        String family = p.family();
        switch (r.nextInt(12)) {
            case 0 -> {
                lines.add(given.charAt(0) + ". " + garbled(family));
                return false;
            }
            case 1 -> lines.add(garbled(family) + ", " + garbled(given));
            case 2 -> lines.add(garbled(given) + " M. " + garbled(family));
            case 3 -> lines.add(garbled(given) + " " + heard(family));
            case 4 -> lines.add((given + " " + family).toUpperCase(Locale.ROOT));
            case 5 -> lines.add(People.bare(given + " " + family));
            default -> lines.add(garbled(given) + " " + garbled(family));
        }
        return true;
    }

    private static String heard(String family) {
        return family.contains("qvist")
                ? family.replace("qvist", "quist")
                : family.contains("ier")
                        ? family.replace("ier", "yer")
                        : family.replace("berger", "perger").replace("ck", "k");
    }

    private String telephone(String number) {
        String written = r.nextInt(12) == 0 ? slipped(number) : number;
        String bare = written.replace(" ", "").substring(1);
        return switch (r.nextInt(4)) {
            case 0 -> "Tel. +49 " + bare.substring(0, 2) + " " + bare.substring(2, 5) + " " + bare.substring(5);
            case 1 -> "telephone 0" + bare.substring(0, 2) + "/" + bare.substring(2);
            case 2 -> "Phone (0" + bare.substring(0, 2) + ") " + bare.substring(2, 5) + "-" + bare.substring(5);
            default -> "Tel " + written;
        };
    }

    /** Two neighbours swapped, or one digit another. */
    private String slipped(String number) {
        char[] c = number.toCharArray();
        int at = 5 + r.nextInt(c.length - 6);
        if (r.nextBoolean()) {
            char other = c[at];
            c[at] = c[at + 1];
            c[at + 1] = other;
        } else {
            c[at] = (char) ('0' + (c[at] - '0' + 1 + r.nextInt(9)) % 10);
        }
        return new String(c);
    }

    private String day(LocalDate date) {
        return date.format(DateTimeFormatter.ofPattern(DAYS[r.nextInt(DAYS.length)], Locale.ENGLISH));
    }

    /** As an engine reads it: one letter in sixty for another that looks like it. */
    private String garbled(String text) {
        String from = "eaocnuilmsgbLvS";
        String to = "caceunlinagh1y5";
        StringBuilder out = new StringBuilder();
        for (char c : text.toCharArray()) {
            int at = from.indexOf(c);
            out.append(at >= 0 && r.nextInt(60) == 0 ? to.charAt(at) : c);
        }
        return out.toString();
    }
}
