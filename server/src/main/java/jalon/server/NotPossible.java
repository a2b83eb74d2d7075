package jalon.server;

import java.util.Map;
import org.springframework.http.HttpStatus;

/** Something asked for that cannot be done: which {@link Problem} is in the way, and with what. */
public final class NotPossible extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final Problem problem;
    private final transient Map<String, String> with;

    NotPossible(Problem problem, Map<String, String> with) {
        super(new Trouble(problem, with).words());
        this.problem = problem;
        this.with = Map.copyOf(with);
    }

    public Trouble trouble() {
        return new Trouble(problem, with);
    }

    /** Whether it is the machine that is in the way, and not what was asked for. */
    public boolean isMachine() {
        return problem.isMachine();
    }

    public HttpStatus status() {
        return problem.status();
    }
}
