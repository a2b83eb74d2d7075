package jalon.bench.rows;

import java.text.Normalizer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Made-up households, as an organisation's register has them: families share a name, a street and mostly a telephone. */
final class People {
    private static final String[] GIVEN = {
        "Ada",
        "Aron",
        "Beata",
        "Bruno",
        "Cäcilie",
        "Ciro",
        "Dagny",
        "Dorian",
        "Edda",
        "Emil",
        "Fanny",
        "Florin",
        "Gerda",
        "Gustaw",
        "Hanne",
        "Håkon",
        "Ida",
        "Iwan",
        "Janina",
        "Jorun",
        "Katarína",
        "Klaas",
        "Łucja",
        "Leander",
        "Mirjam",
        "Marek",
        "Nóra",
        "Nils",
        "Oda",
        "Orest",
        "Petra",
        "Pavel",
        "Renée",
        "Rurik",
        "Sanna",
        "Séverin",
        "Thea",
        "Tadeusz",
        "Ulla",
        "Urs",
        "Vera",
        "Viggo",
        "Wanda",
        "Willem",
        "Ylva",
        "Yann",
        "Zita",
        "Zeno"
    };
    private static final String[] BEGIN = {
        "Bran", "Cald", "Dres", "Elm", "Fjeld", "Gran", "Hart", "Ister", "Jan", "Kall", "Lind", "Mar", "Nord", "Ost",
                "Pell",
        "Quar", "Ros", "Stein", "Tor", "Ulm", "Var", "Wern", "Yst", "Zell", "Ahl", "Berg", "Kron", "Löf", "Mül", "Szy"
    };
    private static final String[] END = {
        "mann", "qvist", "sen", "ska", "ová", "elli", "ard", "ier", "gren", "berger", "holt", "wick", "stad", "ini",
        "eau", "ez", "ak", "ström", "ner", "by", "dottir", "field", "huis", "veld", "lund"
    };
    private static final String[] WAYS = {
        "Street", "gatan", "weg", "straat", "vej", "Road", "ova", "allee", "Row", "Lane"
    };
    private static final String[] TOWNS = {
        "Karsund",
        "Ostermoor",
        "Belvigno",
        "Tarnice",
        "Saint-Orlec",
        "Vinterhavn",
        "Molendijk",
        "Alcorza",
        "Steinach am Wehr"
    };

    private final Random r;
    final List<Person> all = new ArrayList<>();

    /** @param no never on paper, @param birth null where the register does not have it */
    record Person(
            String no,
            String given,
            String family,
            LocalDate birth,
            String telephone,
            String street,
            String town,
            String bareName) {
        Person(String no, String given, String family, LocalDate birth, String telephone, String street, String town) {
            this(no, given, family, birth, telephone, street, town, bare(given + " " + family));
        }

        String csv() {
            return "%s,\"%s %s\",%s,%s,\"%s, %s\",%s%n"
                    .formatted(no, given, family, birth == null ? "" : birth, telephone, street, town, town);
        }
    }

    People(int count, Random r) {
        this.r = r;
        while (all.size() < count) {
            household(Math.min(count - all.size(), r.nextInt(5) == 0 ? 2 + r.nextInt(2) : 1));
        }
    }

    private void household(int count) {
        String family = family();
        String telephone = telephone();
        String street = street();
        String town = any(TOWNS);
        String given = any(GIVEN);
        for (int i = 0; i < count; i++) {
            // A few sons are called as their fathers are.
            given = i > 0 && r.nextInt(12) == 0 ? given : any(GIVEN);
            String own = r.nextInt(4) == 0 ? telephone() : telephone;
            LocalDate birth = r.nextInt(5) == 0 ? null : birth();
            all.add(new Person("K" + (100_000 + all.size() * 7), given, family, birth, own, street, town));
        }
    }

    /** Somebody of the same household whom the register does not have. */
    Person relative(Person of) {
        String given = of.given;
        while (given.equals(of.given)) {
            given = any(GIVEN);
        }
        return new Person("", given, of.family, birth(), of.telephone, of.street, of.town);
    }

    Person stranger() {
        return new Person("", any(GIVEN), family(), birth(), telephone(), street(), any(TOWNS));
    }

    String csv() {
        StringBuilder out = new StringBuilder("no,holder,born,telephone,address,town\n");
        all.forEach(p -> out.append(p.csv()));
        return out.toString();
    }

    private String family() {
        return any(BEGIN) + (r.nextInt(3) == 0 ? any(new String[] {"a", "e", "o"}) : "") + any(END);
    }

    private LocalDate birth() {
        return LocalDate.of(1935 + r.nextInt(70), 1 + r.nextInt(12), 1 + r.nextInt(28));
    }

    private String street() {
        return any(BEGIN) + any(END) + (r.nextBoolean() ? " " : "") + any(WAYS) + " " + (1 + r.nextInt(120));
    }

    private String telephone() {
        return "0" + (20 + r.nextInt(80)) + " " + (1_000_000 + r.nextInt(9_000_000));
    }

    private String any(String[] of) {
        return of[r.nextInt(of.length)];
    }

    static String bare(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replace("ł", "t")
                .replace("Ł", "L");
    }
}
