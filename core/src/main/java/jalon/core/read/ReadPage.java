package jalon.core.read;

import jalon.core.image.ColouredInk;
import jalon.core.image.GrayPlane;
import jalon.core.image.Halftones;
import jalon.core.image.ImageFacts;
import jalon.core.image.Ink;
import jalon.core.image.Measure;
import jalon.core.image.Measured;
import jalon.core.image.PageCheck;
import jalon.core.image.Repair;
import jalon.core.image.Repaired;
import jalon.core.image.Skew;
import jalon.core.mark.Mark;
import jalon.core.mark.Marks;
import jalon.core.page.Box;
import jalon.core.page.Scan;
import jalon.core.page.Word;
import jalon.core.text.TextReader;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads one page: measures it, finds its marks, and reads its words once, upright and straight, with their places on the
 * page as it was received.
 */
public final class ReadPage {
    /** Below this lean the engine reads as well as at none; above, it loses words quickly (a cliff at 2 degrees). */
    private static final double STRAIGHTEN_FROM = 0.4;

    /** A page with less ink than this has nothing to read: one full stop on A4 is more. */
    private static final double NOTHING = 0.000004;

    /** Print of usual size is read as well at 200 dpi as at 300, in four fifths of the time; finer pages are made so. */
    private static final double FINE_DPI = 280;

    private static final double QUICK_DPI = 200;

    private static final double UNEVEN = 0.25;

    /** To a square centimetre. */
    private static final double SPECKS = 1;

    /** With fewer words nothing is said about which way is up. */
    private static final int FEWEST_WORDS = 5;

    private ReadPage() {}

    /** Where the page came from. See {@link PageFacts}. */
    public record Origin(int no, String file, int filePage, String sha256) {}

    public static PageFacts read(Scan scan, Origin origin, TextReader reader) {
        return read(scan, origin, reader, HowToReadPage.USUAL);
    }

    public static PageFacts read(Scan scan, Origin origin, TextReader reader, HowToReadPage how) {
        Integer turn = how.turn();
        GrayPlane received = GrayPlane.of(scan.image(), scan.dpi());
        GrayPlane small = received.small();
        boolean bitonal = scan.image().getColorModel().getPixelSize() == 1;
        PageCheck check = PageCheck.of(received, small, bitonal);
        Ink ink = check.ink();
        Marks marks = Marks.found(
                received, small, how.barcodes().kinds(), how.barcodes().where());
        List<Repair> readThrough = needed(scan, check, how.recipe());
        GrayPlane toRead = readThrough.isEmpty()
                ? received
                : GrayPlane.of(
                        Repaired.of(scan.image(), scan.dpi(), readThrough, 0).image(), scan.dpi());
        GrayPlane smallToRead = toRead == received ? small : toRead.small();
        // The engine takes each dot of a printed photograph for something to be read.
        List<Box> pictures = Halftones.in(toRead, smallToRead);
        toRead = toRead.whitened(pictures);
        smallToRead = smallToRead.whitened(pictures);
        OwnText own = OwnText.of(scan, received, small, reader);
        Attempt best;
        if (own.isWhole()) {
            int upright = turn == null ? own.turn() : turn;
            best = new Attempt(upright, Skew.of(small.turned(upright)).degrees(), own.upright(upright));
        } else {
            best = turn == null
                    ? readUpright(toRead, smallToRead, ink, reader)
                    : attempt(toRead.turned(turn), smallToRead.turned(turn), turn, reader);
            best = new Attempt(best.rotation(), best.skew(), own.over(best.words(), best.rotation()));
        }
        boolean showsThrough = turn == null
                && scan.ownWords().isEmpty()
                && marks.isEmpty()
                && ShowThrough.isAll(toRead, smallToRead, ink.share(), best.words(), reader);
        if (showsThrough) {
            best = new Attempt(0, best.skew(), List.of());
        }
        int rotation = best.rotation();
        boolean sideways = rotation % 180 != 0;
        List<Mark> upright = marks.upright(rotation, turn != null || best.confident() >= 2);
        ImageFacts image = new ImageFacts(
                sideways
                        ? new ImageFacts.Size(scan.heightMm(), scan.widthMm())
                        : new ImageFacts.Size(scan.widthMm(), scan.heightMm()),
                new ImageFacts.Density(scan.dpi(), scan.dpiStated()),
                new ImageFacts.Pose(best.skew(), rotation),
                showsThrough ? 0 : ink.share(),
                measured(check, best, scan),
                ColouredInk.in(scan.image(), scan.dpi()).stream()
                        .map(box -> box.turned(rotation, scan.widthMm(), scan.heightMm()))
                        .toList(),
                readThrough,
                check.layout(rotation, best.skew()));
        var seen = new PageFacts(
                origin.no(), origin.file(), origin.filePage(), origin.sha256(), image, upright, best.words());
        return own.isWhole() ? seen : OverlookedNumber.read(toRead, StampedWords.read(scan, seen, reader), reader);
    }

    /** Without straightening, which is part of reading already, by the lean that is then measured. */
    private static List<Repair> needed(Scan scan, PageCheck check, List<Repair> recipe) {
        var figures = new ImageFacts(
                new ImageFacts.Size(scan.widthMm(), scan.heightMm()),
                new ImageFacts.Density(scan.dpi(), true),
                new ImageFacts.Pose(0, 0),
                check.ink().share(),
                check.figures(),
                null,
                null,
                null);
        return Repair.needed(madeGood(recipe, figures), figures);
    }

    /**
     * What keeps a whole page from being read is made good before reading, whatever the recipe says: where the light falls
     * off, the engine's one threshold for all of it drops whole columns of print, and specks become letters and points.
     */
    private static List<Repair> madeGood(List<Repair> recipe, ImageFacts figures) {
        List<Repair> more = new ArrayList<>(recipe);
        if (figures.figure(Measure.SPECKS).orElse(0) > SPECKS) {
            more.add(0, new Repair.CleanSpecks());
        }
        if (figures.figure(Measure.UNEVEN).orElse(0) > UNEVEN) {
            more.add(0, new Repair.EvenLight());
        }
        return more.stream().distinct().toList();
    }

    private static List<Measured> measured(PageCheck check, Attempt best, Scan scan) {
        List<Measured> all = new ArrayList<>(check.upright(best.rotation(), scan.widthMm(), scan.heightMm()));
        all.add(new Measured(Measure.SKEW, Math.abs(best.skew()), null));
        if (best.longer() >= FEWEST_WORDS) {
            all.add(new Measured(Measure.UPRIGHT, Math.round(best.certainty() * 1000) / 1000.0, null));
        }
        return all;
    }

    private static Attempt readUpright(GrayPlane received, GrayPlane small, Ink ink, TextReader reader) {
        if (ink.share() < NOTHING) {
            return new Attempt(0, 0, List.of());
        }
        Attempt asReceived = attempt(received, small, 0, reader);
        if (asReceived.convincing()) {
            return asReceived;
        }
        int turn = new WayUp(received, small, reader).likelyTurn(asReceived.words(), asReceived.sideways());
        if (turn == 0) {
            return asReceived;
        }
        Attempt turned = attempt(received.turned(turn), small.turned(turn), turn, reader);
        return asReceived.sideways() || turned.weight() > asReceived.weight() ? turned : asReceived;
    }

    private static Attempt attempt(GrayPlane upright, GrayPlane small, int rotation, TextReader reader) {
        double skew = Skew.of(small).degrees();
        double turn = Math.abs(skew) < STRAIGHTEN_FROM ? 0 : -skew;
        if (upright.dpi() >= FINE_DPI) {
            double scale = Math.max(0.5, QUICK_DPI / upright.dpi());
            List<Word> quick = reader.read(upright.rotated(turn, scale), TextReader.Layout.PAGE);
            if (SmallPrint.readWell(quick)) {
                return placed(quick, rotation, skew, turn, upright);
            }
        }
        GrayPlane straight = turn == 0 ? upright : upright.rotated(turn);
        return placed(reader.read(straight, TextReader.Layout.PAGE), rotation, skew, turn, upright);
    }

    private static Attempt placed(List<Word> words, int rotation, double skew, double turn, GrayPlane upright) {
        if (turn == 0) {
            return new Attempt(rotation, skew, words);
        }
        var tilt = new PageTilt(skew, upright.widthMm(), upright.heightMm());
        return new Attempt(
                rotation,
                skew,
                words.stream()
                        .map(w -> new Word(w.text(), tilt.fromStraight(w.box()), w.certainty(), w.line()))
                        .toList());
    }

    private static final double CLEAR = 0.85;
    private static final int WORDS_OF_A_CLEAR_LINE = 4;

    private record Attempt(int rotation, double skew, List<Word> words) {
        /** Words of three letters or more that the engine is sure of: noise and upside-down print give hardly any. */
        long confident() {
            return words.stream().filter(Attempt::good).count();
        }

        long longer() {
            return words.stream().filter(w -> w.text().length() >= 3).count();
        }

        /** The mean certainty of longer words: low upside down, and low where nothing can be read at all. */
        double certainty() {
            return words.stream()
                    .filter(w -> w.text().length() >= 3)
                    .mapToDouble(Word::certainty)
                    .average()
                    .orElse(0);
        }

        double weight() {
            return words.stream()
                    .filter(Attempt::good)
                    .mapToDouble(w -> w.text().length() * w.certainty())
                    .sum();
        }

        boolean convincing() {
            long longEnough = words.stream().filter(w -> w.text().length() >= 3).count();
            return confident() >= 3 && (confident() * 2 >= longEnough || hasClearLine()) && !sideways();
        }

        /** Beside a drawing or handwriting: print on its head is never read as a whole line of sure words. */
        private boolean hasClearLine() {
            return Line.of(words).stream().anyMatch(line -> {
                var longer = line.words().stream()
                        .filter(w -> w.text().length() >= 3)
                        .toList();
                long clear = longer.stream()
                        .filter(w -> good(w) && w.certainty() > CLEAR)
                        .count();
                return clear >= WORDS_OF_A_CLEAR_LINE && clear * 5 >= longer.size() * 4;
            });
        }

        /** The engine reads lines that run down the page too; then most longer words stand higher than wide. */
        boolean sideways() {
            var longer = words.stream().filter(Attempt::good).map(Word::box).toList();
            return longer.stream().filter(b -> b.height() > b.width()).count() * 2 > longer.size();
        }

        private static boolean good(Word w) {
            return w.certainty() > 0.7
                    && w.text().chars().filter(Character::isLetterOrDigit).count() >= 3;
        }
    }
}
