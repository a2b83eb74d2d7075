package jalon.core.read;

import jalon.core.image.ImageFacts;
import jalon.core.mark.Mark;
import jalon.core.page.Word;
import java.util.List;

/**
 * All that the machine saw on one page, once. Everything after works on these; the image is only gone back to for a zone
 * that has to be read again.
 *
 * @param no page number in the batch, from 1, in the order received
 * @param file name of the received file
 * @param filePage page in that file, from 1
 * @param sha256 of the received file, in hex
 * @param words in reading order, on the upright page
 */
public record PageFacts(
        int no, String file, int filePage, String sha256, ImageFacts image, List<Mark> marks, List<Word> words) {

    /** The words of each printed line, joined by spaces, in reading order. */
    public List<Line> lines() {
        return Line.of(words);
    }

    /** The lines that carry none of these phrases. */
    public List<Line> linesWithout(List<String> phrases) {
        List<Phrase> forbidden = phrases.stream().map(Phrase::of).toList();
        return lines().stream()
                .filter(line ->
                        forbidden.stream().noneMatch(p -> p.find(line.words()).isPresent()))
                .toList();
    }

    /** The same page as if it had been made straight about its middle: words where they then stand, and no lean. */
    public PageFacts straight() {
        var tilt = PageTilt.of(this);
        return new PageFacts(
                no,
                file,
                filePage,
                sha256,
                image.skewed(0),
                marks,
                words.stream()
                        .map(w -> new Word(w.text(), tilt.toStraight(w.box()), w.certainty(), w.line()))
                        .toList());
    }

    /** What is needed to find a part of its picture again: no words, no marks. */
    public PageFacts imageOnly() {
        return new PageFacts(no, file, filePage, sha256, image, List.of(), List.of());
    }

    /** What may stay of a page that is erased: that it was there, and how its image was. */
    public PageFacts erased() {
        return new PageFacts(no, "", filePage, sha256, image, List.of(), List.of());
    }

    PageFacts withWords(List<Word> others) {
        return new PageFacts(no, file, filePage, sha256, image, marks, others);
    }

    public PageFacts numbered(int newNo) {
        return new PageFacts(newNo, file, filePage, sha256, image, marks, words);
    }
}
