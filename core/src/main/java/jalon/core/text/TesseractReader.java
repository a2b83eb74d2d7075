package jalon.core.text;

import jalon.core.image.GrayPlane;
import jalon.core.page.Box;
import jalon.core.page.Word;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;
import org.bytedeco.tesseract.ResultIterator;
import org.bytedeco.tesseract.TessBaseAPI;
import org.bytedeco.tesseract.global.tesseract;

/**
 * Tesseract, kept open. It is native code in this process: a picture of no size or a buffer shorter than promised would
 * take the whole server down, so sizes are checked here, in Java, before anything is handed over.
 *
 * <p>Its own threads make it slower on pages (set {@code OMP_THREAD_LIMIT=1} before the JVM starts); run one reader per
 * core instead.
 */
public final class TesseractReader implements TextReader {
    /** Less than this on a side cannot hold a letter, and very small pictures upset its line finder. */
    private static final int LEAST_PIXELS = 12;

    /** Above this a page is halved first: a 20,000 x 20,000 page would take 1.5 GB. */
    private static final long MOST_PIXELS = 45_000_000;

    private static final double SURE_TURN = 1.5;

    private final TessBaseAPI engine;
    private final String models;
    private TessBaseAPI turnEngine;

    private TesseractReader(TessBaseAPI engine, String models) {
        this.engine = engine;
        this.models = models;
    }

    /**
     * @param languages model names joined by {@code +}, such as {@code eng+deu} or {@code Latin}
     * @throws IllegalStateException when a model is not installed; the message says which package to install
     */
    public static TesseractReader open(String languages) {
        ReadingModels.need(languages);
        Path models = ReadingModels.folder();
        TessBaseAPI engine = new TessBaseAPI();
        if (engine.Init(models.toString(), languages, tesseract.OEM_LSTM_ONLY) != 0) {
            engine.close();
            throw new IllegalStateException("the reading engine did not start with the models in " + models);
        }
        engine.SetVariable("debug_file", "/dev/null");
        return new TesseractReader(engine, models.toString());
    }

    @Override
    public List<Word> read(GrayPlane picture, Layout layout) {
        if (picture.width() < LEAST_PIXELS || picture.height() < LEAST_PIXELS) {
            return List.of();
        }
        if ((long) picture.width() * picture.height() > MOST_PIXELS) {
            return read(picture.reduced(2), layout);
        }
        engine.SetPageSegMode(
                switch (layout) {
                    case PAGE -> tesseract.PSM_AUTO;
                    case BLOCK -> tesseract.PSM_SINGLE_BLOCK;
                    case LINE -> tesseract.PSM_SINGLE_LINE;
                    case WORD -> tesseract.PSM_SINGLE_WORD;
                });
        try (BytePointer pixels = new BytePointer(picture.pixels())) {
            engine.SetImage(pixels, picture.width(), picture.height(), 1, picture.width());
            engine.SetSourceResolution((int) Math.round(Math.max(70, Math.min(picture.dpi(), 2400))));
            if (engine.Recognize(null) != 0) {
                return List.of();
            }
            return words(picture);
        } finally {
            engine.Clear();
        }
    }

    private List<Word> words(GrayPlane picture) {
        double mm = picture.mm(1);
        List<Word> words = new ArrayList<>();
        ResultIterator at = engine.GetIterator();
        if (at == null || at.isNull()) {
            return words;
        }
        int line = -1;
        try (at;
                IntPointer left = new IntPointer(1);
                IntPointer top = new IntPointer(1);
                IntPointer right = new IntPointer(1);
                IntPointer bottom = new IntPointer(1)) {
            do {
                if (at.IsAtBeginningOf(tesseract.RIL_TEXTLINE)) {
                    line++;
                }
                BytePointer utf8 = at.GetUTF8Text(tesseract.RIL_WORD);
                if (utf8 == null || utf8.isNull()) {
                    continue;
                }
                String text =
                        utf8.getString(java.nio.charset.StandardCharsets.UTF_8).strip();
                tesseract.TessDeleteText(utf8);
                double certainty = at.Confidence(tesseract.RIL_WORD) / 100.0;
                at.BoundingBox(tesseract.RIL_WORD, left, top, right, bottom);
                int w = right.get() - left.get();
                int h = bottom.get() - top.get();
                boolean wholePage = w > 0.95 * picture.width() && h > 0.95 * picture.height();
                if (!text.isEmpty() && w > 0 && h > 0 && !(wholePage && certainty < 0.5)) {
                    Box box = new Box(left.get() * mm, top.get() * mm, w * mm, h * mm);
                    words.add(new Word(text, box, Math.max(0, Math.min(1, certainty)), Math.max(0, line)));
                }
            } while (at.Next(tesseract.RIL_WORD));
        }
        return words;
    }

    @Override
    public int uprightTurn(GrayPlane picture) {
        // Letters of 8 to 12 point are told apart at 150 dpi just as well, in a quarter of the time.
        int factor = Math.max(1, (int) Math.floor(picture.dpi() / 150));
        GrayPlane small = picture.reduced(factor);
        if (small.width() < 100 || small.height() < 100 || (long) small.width() * small.height() > MOST_PIXELS) {
            return 0;
        }
        TessBaseAPI turns = turnEngine();
        if (turns == null) {
            return 0;
        }
        try (BytePointer pixels = new BytePointer(small.pixels());
                IntPointer degrees = new IntPointer(1);
                FloatPointer sure = new FloatPointer(1);
                PointerPointer<BytePointer> script = new PointerPointer<>(1);
                FloatPointer scriptSure = new FloatPointer(1)) {
            turns.SetPageSegMode(tesseract.PSM_OSD_ONLY);
            turns.SetImage(pixels, small.width(), small.height(), 1, small.width());
            turns.SetSourceResolution((int) Math.round(small.dpi()));
            boolean told = turns.DetectOrientationScript(degrees, sure, script, scriptSure);
            // The engine says how far the print is turned counter-clockwise from upright; back is clockwise.
            return told && sure.get() >= SURE_TURN ? Math.floorMod(360 - degrees.get(), 360) : 0;
        } finally {
            turns.Clear();
        }
    }

    private TessBaseAPI turnEngine() {
        if (turnEngine == null && Files.exists(Path.of(models, "osd.traineddata"))) {
            TessBaseAPI opened = new TessBaseAPI();
            if (opened.Init(models, "osd", tesseract.OEM_TESSERACT_ONLY) == 0) {
                opened.SetVariable("debug_file", "/dev/null");
                turnEngine = opened;
            } else {
                opened.close();
            }
        }
        return turnEngine;
    }

    @Override
    public void close() {
        engine.End();
        engine.close();
        if (turnEngine != null) {
            turnEngine.End();
            turnEngine.close();
        }
    }
}
