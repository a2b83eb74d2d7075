package jalon.core.register;

import java.util.Set;

/** Other text, such as a town, as it is; no row is looked for by it, since it is too often somebody else's too. */
final class TextLook implements ValueLook {
    @Override
    public Set<String> keys(String value) {
        return Set.of();
    }

    @Override
    public Set<String> probes(Paper paper) {
        return Set.of();
    }

    @Override
    public Seen on(Paper paper, String value) {
        return paper.phrase(Plain.tokens(value)).map(Seen::same).orElse(Seen.NOT);
    }
}
