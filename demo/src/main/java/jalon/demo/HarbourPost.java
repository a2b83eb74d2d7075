package jalon.demo;

import java.awt.Color;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** What the post brings to the harbour office in one bag: papers of all kinds in any order, with nothing between them. */
public final class HarbourPost {
    private static final int KINDS = 6;
    private static final int RENEWAL = 2;

    private HarbourPost() {}

    /** Documents of each kind in turn, so that each is there as often as the others. */
    static List<PaperDocument> ofEachKind(Harbour harbour, int each, Random r) {
        List<PaperDocument> made = new ArrayList<>();
        for (int i = 0; i < each * KINDS; i++) {
            made.add(one(i % KINDS, harbour, r));
        }
        return made;
    }

    /** What goes wrong between the letter box and the feeder. */
    public enum Fault {
        /** A letter whose head is torn off: it begins like a second page. */
        HEAD_TORN_OFF,
        /** The pages of a letter lay the wrong way round. */
        BACK_TO_FRONT,
        /** A declaration that was pinned to the letter before it, and belongs to it. */
        PINNED_TO_A_LETTER,
        /** The first page of a certificate was fed twice. */
        FED_TWICE,
        /** The last page of a renewal strayed behind the first page of the next paper. */
        STRAYED
    }

    /**
     * A side of a sheet as it was fed.
     *
     * @param document it belongs to, counted from 0; -1 for one that belongs to none
     * @param page of that, counted from 1
     */
    public record Fed(Sheet sheet, int document, int page) {}

    /** @param fed in the order in which the sheets went through */
    public record Bag(List<PaperDocument> documents, List<Fed> fed) {}

    /**
     * A bag of mixed papers with one of each fault, spread over it.
     *
     * @param pages how many sides about
     */
    static Bag bag(Harbour harbour, int pages, Random r) {
        List<PaperDocument> documents = new ArrayList<>();
        List<List<Fed>> fed = new ArrayList<>();
        int sides = 0;
        int faults = 0;
        while (sides < pages) {
            boolean due = faults < Fault.values().length && sides > pages * (faults + 0.5) / Fault.values().length;
            PaperDocument next = due ? faulty(Fault.values()[faults], harbour, r) : one(r.nextInt(KINDS), harbour, r);
            documents.add(next);
            List<Fed> its = new ArrayList<>();
            for (int p = 1; p <= next.pages().size(); p++) {
                its.add(new Fed(next.pages().get(p - 1), documents.size() - 1, p));
            }
            if (due) {
                spoil(Fault.values()[faults++], its);
            }
            fed.add(its);
            sides += its.size();
        }
        return new Bag(documents, strayed(fed));
    }

    private static PaperDocument faulty(Fault fault, Harbour harbour, Random r) {
        return switch (fault) {
            case HEAD_TORN_OFF -> tornOff(letterOf(1, harbour, r));
            case BACK_TO_FRONT -> letterOf(2, harbour, r);
            case PINNED_TO_A_LETTER -> {
                PaperDocument letter = letterOf(1, harbour, r);
                List<Sheet> both = new ArrayList<>(letter.pages());
                both.addAll(ShortPaper.landing(harbour.any(r), r).pages());
                yield new PaperDocument(letter.type(), List.of(), both, letter.fields());
            }
            case FED_TWICE -> Surveys.one(harbour.any(r), r);
            case STRAYED -> one(RENEWAL, harbour, r);
        };
    }

    private static PaperDocument letterOf(int pages, Harbour harbour, Random r) {
        PaperDocument letter = one(0, harbour, r);
        while (letter.pages().size() != pages) {
            letter = one(0, harbour, r);
        }
        return letter;
    }

    /** Sender, address and greeting lie in the letter box. */
    private static PaperDocument tornOff(PaperDocument letter) {
        Sheet whole = letter.pages().get(0);
        Sheet torn = pen -> {
            whole.print(pen);
            pen.ink(Color.WHITE).fill(0, 0, 210, 92).ink(Color.BLACK);
        };
        return new PaperDocument(letter.type(), List.of(), List.of(torn), letter.fields());
    }

    private static void spoil(Fault fault, List<Fed> pages) {
        switch (fault) {
            case BACK_TO_FRONT -> Collections.reverse(pages);
            case FED_TWICE -> pages.add(1, new Fed(pages.get(0).sheet(), -1, 1));
            case STRAYED -> pages.set(pages.size() - 1, astray(pages.get(pages.size() - 1)));
            default -> {}
        }
    }

    /** Marked until the next paper is known. */
    private static Fed astray(Fed page) {
        return new Fed(page.sheet(), page.document(), -page.page());
    }

    private static List<Fed> strayed(List<List<Fed>> papers) {
        List<Fed> all = new ArrayList<>();
        Fed stray = null;
        for (List<Fed> paper : papers) {
            for (Fed page : paper) {
                if (page.page() < 0) {
                    stray = new Fed(page.sheet(), page.document(), -page.page());
                    continue;
                }
                all.add(page);
                if (stray != null && page.document() != stray.document()) {
                    all.add(stray);
                    stray = null;
                }
            }
        }
        return all;
    }

    private static PaperDocument one(int kind, Harbour harbour, Random r) {
        Vessel v = harbour.any(r);
        return switch (kind) {
            case 0 -> DuesLetters.make(harbour, 1, r).get(0);
            case 1 ->
                bare("berth-application", BerthApplications.make(harbour, 1, r).get(0));
            case RENEWAL ->
                bare("licence-renewal", LicenceRenewals.make(harbour, 1, r).get(0));
            case 3 -> Surveys.one(v, r);
            case 4 -> ShortPaper.landing(v, r);
            default -> ShortPaper.cover(v, r);
        };
    }

    /** Without its separator sheet. */
    private static PaperDocument bare(String type, PaperDocument d) {
        return new PaperDocument(type, List.of(), d.pages(), d.fields());
    }
}
