package bricksignal.server.record;

import bricksignal.core.words.Message;
import bricksignal.server.words.Words;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.messageresolver.AbstractMessageResolver;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Documents as PDF, set in the face of the application; each is a template below {@code templates/} and what stands in it. */
@Component
public class Pdf {

    private static final String FACE = "B612";
    /** The library logs each step of each page; held here, for a logger that nobody holds forgets its level. */
    private static final Logger CHATTER = Logger.getLogger("com.openhtmltopdf");

    private final TemplateEngine templates = new TemplateEngine();

    Pdf(Words words, @Value("${brick.warm}") boolean warm) {
        CHATTER.setLevel(Level.SEVERE);
        ClassLoaderTemplateResolver files = new ClassLoaderTemplateResolver();
        files.setPrefix("templates/");
        files.setSuffix(".html");
        files.setTemplateMode(TemplateMode.HTML);
        files.setCharacterEncoding("UTF-8");
        templates.setTemplateResolver(files);
        templates.setMessageResolver(new OfTheCatalogue(words));
        if (warm) {
            warmUp();
        }
    }

    /** The first document takes a second and a half, most of it reading the faces and the library: nobody waits for that when it is done beside the start. */
    private void warmUp() {
        Thread beside = new Thread(() -> of("trial", Map.of("text", "0"), Paper.A4), "first-document");
        beside.setDaemon(true);
        beside.start();
    }

    /** Sizes of paper (ISO 216; ANSI/ASME Y14.1). */
    public enum Paper { A4, LETTER }

    /**
     * Makes a document.
     *
     * @param template its name
     * @param values what stands in it, by name
     */
    public byte[] of(String template, Map<String, Object> values, Paper paper) {
        Context context = new Context(Locale.ENGLISH, values);
        context.setVariable("paper", paper.name().toLowerCase(Locale.ROOT));
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFont(() -> font("B612-Regular.ttf"), FACE, 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("B612-Bold.ttf"), FACE, 700, FontStyle.NORMAL, true);
        builder.withProducer("Brick Signal");
        builder.withHtmlContent(templates.process(template, context), null);
        builder.toStream(pdf);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return pdf.toByteArray();
    }

    private static InputStream font(String name) {
        return Objects.requireNonNull(Pdf.class.getResourceAsStream("/fonts/" + name), name);
    }

    /** What a template names stands in the catalogue, in the language of whoever asks for the document. */
    private static final class OfTheCatalogue extends AbstractMessageResolver {

        private final Words words;

        OfTheCatalogue(Words words) {
            this.words = words;
        }

        @Override
        public String resolveMessage(ITemplateContext context, @Nullable Class<?> origin, String key, Object @Nullable [] parts) {
            return words.of(Message.of(key, parts == null ? new Message[0] : Arrays.stream(parts).map(part -> Message.said(String.valueOf(part))).toArray(Message[]::new)));
        }

        @Override
        public String createAbsentMessageRepresentation(ITemplateContext context, @Nullable Class<?> origin, String key, Object @Nullable [] parts) {
            throw new IllegalArgumentException("the catalogue has no words for '" + key + "'");
        }
    }
}
