package jalon.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.PageBuilder;
import jalon.core.read.PageFacts;
import jalon.core.stream.Streams;
import org.junit.jupiter.api.Test;

class BarcodesAtOnceTest {
    @Test
    void eachFieldThatABarcodeFitsIsSaidOnce() throws Exception {
        var stream = Streams.parse("""
                {"jalon":1,"stream":"s","title":"S","types":[
                 {"type":"a","fields":[{"field":"vessel","title":"Vessel","finders":[{"by":"barcode","like":"PM-9999-A"}]},
                                       {"field":"note","finders":[{"by":"label","labels":["Note"]}]}]},
                 {"type":"b","fields":[{"field":"ship","title":"Vessel","finders":[{"by":"barcode","like":"PM-9999-A"}]},
                                       {"field":"box","title":"Box","finders":[{"by":"barcode","kind":"QR_CODE"}]}]}]}""");
        PageFacts page = PageBuilder.page(1)
                .barcode("CODE_128", "PM-4821-K")
                .barcode("CODE_128", "31")
                .seen();
        assertThat(BarcodesAtOnce.on(page, stream)).containsExactly(new BarcodesAtOnce.Said("Vessel", "PM-4821-K"));
        assertThat(BarcodesAtOnce.on(PageBuilder.page(2).seen(), stream)).isEmpty();
    }
}
