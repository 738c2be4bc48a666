package bricksignal.server.record;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file to be kept under its name. */
public final class Download {

    public static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");

    private Download() {
    }

    /** The answer that hands it out. */
    public static <T> ResponseEntity<T> of(String name, MediaType type, T content) {
        return ResponseEntity.ok().contentType(type).header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
