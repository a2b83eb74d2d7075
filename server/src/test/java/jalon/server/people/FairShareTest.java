package jalon.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class FairShareTest {
    @Test
    void onePersonsUploadsWaitWhileAnothersGoOn() throws Exception {
        var share = new FairShare();
        var open = new CountDownLatch(1);
        var begun = new CountDownLatch(6);
        ExecutorService pool = Executors.newCachedThreadPool();
        try {
            List<Future<Integer>> first = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                first.add(pool.submit(() -> upload(share, "m.tarrow", () -> {
                    begun.countDown();
                    open.await();
                })));
            }
            begun.await();
            var waiting = pool.submit(() -> upload(share, "m.tarrow", () -> {}));
            assertThat(upload(share, "t.vane", () -> {})).isEqualTo(200);
            assertThat(waiting.isDone()).isFalse();
            open.countDown();
            assertThat(waiting.get()).isEqualTo(200);
            for (Future<Integer> f : first) {
                assertThat(f.get()).isEqualTo(200);
            }
        } finally {
            pool.shutdownNow();
        }
    }

    private interface Work {
        void once() throws Exception;
    }

    private static int upload(FairShare share, String who, Work work) throws Exception {
        var request = new MockHttpServletRequest("POST", "/api/batches/B-0001/files");
        request.setContentType("multipart/form-data; boundary=b");
        Principal person = () -> who;
        request.setUserPrincipal(person);
        var response = new MockHttpServletResponse();
        share.doFilter(request, response, (q, a) -> {
            try {
                work.once();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        return response.getStatus();
    }
}
