package jalon.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.page.Unread;
import org.junit.jupiter.api.Test;

class JsonOrWordsTest {
    private final JsonOrWords<Unread> column = new JsonOrWords<>(Unread.class, Unread.Code.AS_WRITTEN::with);

    @Test
    void whatWasKeptBeforeThereWereCodesKeepsItsWords() {
        assertThat(column.read("the file is empty").words()).isEqualTo("the file is empty");
        assertThat(column.read(null)).isNull();
    }

    @Test
    void aCodeIsReadWithItsValues() {
        assertThat(column.read("{\"code\":\"tiffPageDamaged\",\"with\":{\"page\":\"2\"},\"attempts\":3}"))
                .isEqualTo(Unread.Code.TIFF_PAGE_DAMAGED.with(2).after(3));
    }
}
