package bricksignal.server.paper;

import bricksignal.core.words.Message;
import bricksignal.server.change.Picture;
import bricksignal.server.problem.BadInput;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;

/**
 * A file that is what it says: a PDF that opens, or a picture drawn anew.
 *
 * @param pages at least 1
 */
record PaperFile(String type, int pages, byte[] content) {

    private static final String PDF = "application/pdf";
    private static final byte[] PDF_BEGINS = "%PDF-".getBytes(StandardCharsets.US_ASCII);

    /**
     * Reads a PDF, a JPEG or a PNG, told by its content.
     *
     * @throws BadInput if it is none
     */
    static PaperFile of(byte[] file) {
        if (begins(file)) {
            return new PaperFile(PDF, pages(file), file);
        }
        return new PaperFile("image/jpeg", 1, Picture.of(file).jpeg());
    }

    private static boolean begins(byte[] file) {
        for (int i = 0; i < PDF_BEGINS.length; i++) {
            if (i >= file.length || file[i] != PDF_BEGINS[i]) {
                return false;
            }
        }
        return true;
    }

    private static int pages(byte[] file) {
        try (PDDocument read = Loader.loadPDF(file)) {
            int pages = read.getNumberOfPages();
            if (pages < 1) {
                throw new BadInput("paper", Message.of("problem.paper-broken"));
            }
            return pages;
        } catch (InvalidPasswordException locked) {
            throw new BadInput("paper", Message.of("problem.paper-locked"));
        } catch (IOException | IllegalArgumentException | IllegalStateException | ClassCastException | StackOverflowError broken) {
            throw new BadInput("paper", Message.of("problem.paper-broken"));
        }
    }
}
