package bricksignal.server;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Says which instance answers. Whoever watches over it asks with a time limit: an application that hangs, be it in the collection of
 * garbage, gives no answer, and another one on the same port gives another's.
 */
@RestController
class AliveController {

    private final String instance;

    AliveController(@Value("${brick.instance}") String instance) {
        this.instance = instance;
    }

    @GetMapping(value = "/alive", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> alive() {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body("alive " + instance);
    }
}
