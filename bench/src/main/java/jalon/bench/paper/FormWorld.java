package jalon.bench.paper;

import jalon.demo.Sheet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.SplittableRandom;

/**
 * Types of paper for sorting: families of lookalike forms, forms that stand alone, and free letters of known senders. Some
 * are kept out of what is learned: what is none of these.
 */
public final class FormWorld {
    private final List<Kind> known = new ArrayList<>();
    private final List<Kind> unknown = new ArrayList<>();

    /**
     * @param family number of the family it belongs to
     * @param lookalike whether a known one differs from it in a word or a box only
     */
    public record Kind(String name, int family, boolean lookalike, Making making) {
        public Sheet page(long seed) {
            return making.page(chance(seed));
        }
    }

    /** Neighbouring seeds give chances that have nothing to do with each other, which those of {@link Random} alone have. */
    public static Random chance(long seed) {
        return new Random(new SplittableRandom(seed).nextLong());
    }

    private interface Making {
        Sheet page(Random r);
    }

    /** @param types how many are learned */
    public FormWorld(int types, long seed) {
        Random r = new Random(seed);
        int family = 0;
        while (known.size() < types) {
            family++;
            var house = new House(r);
            int what = r.nextInt(5);
            if (what == 0) {
                letters(house, family, types);
            } else {
                forms(house, family, what == 1 ? 1 : 2 + r.nextInt(6), types, r);
            }
        }
        for (int i = 0; i < Math.max(6, types / 8); i++) {
            family++;
            var house = new House(r);
            if (r.nextInt(4) == 0) {
                unknown.add(letter("other-" + family, house, family));
            } else {
                var design = new FormDesign(house, r);
                unknown.add(new Kind("other-" + family, family, false, design::page));
            }
        }
    }

    private void letters(House house, int family, int types) {
        if (known.size() < types) {
            known.add(letter("letter-" + family, house, family));
        }
    }

    private static Kind letter(String name, House house, int family) {
        return new Kind(
                name, family, false, r -> new LetterPages(house, r).pages(1).get(0));
    }

    private void forms(House house, int family, int members, int types, Random r) {
        var first = new FormDesign(house, r);
        List<FormDesign.Change> changes = new ArrayList<>(List.of(FormDesign.Change.values()));
        Collections.shuffle(changes, r);
        List<FormDesign> designs = new ArrayList<>(List.of(first));
        List<String> names = new ArrayList<>(List.of("first"));
        for (int i = 1; i <= members; i++) {
            var change = changes.get(i % changes.size());
            boolean again = i > changes.size();
            // There is one frame; a second one is another title.
            if (again && change == FormDesign.Change.FRAME) {
                change = FormDesign.Change.TITLE;
            }
            designs.add(first.changed(change, r));
            names.add(change.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }
        for (int i = 0; i < members && known.size() < types; i++) {
            known.add(new Kind(
                    "form-" + family + "-" + (char) ('a' + i) + "-" + names.get(i),
                    family,
                    members > 1,
                    designs.get(i)::page));
        }
        if (r.nextInt(6) == 0) {
            unknown.add(new Kind("sibling-" + family, family, true, designs.get(members)::page));
        }
    }

    public List<Kind> known() {
        return known;
    }

    public List<Kind> unknown() {
        return unknown;
    }
}
