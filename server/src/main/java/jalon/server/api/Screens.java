package jalon.server.api;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Addresses of the screens all lead to the one page of the web application. */
@Controller
class Screens {
    @GetMapping({"/", "/desk/**"})
    String screen() {
        return "forward:/index.html";
    }
}
