package bricksignal.server.words;

import bricksignal.casework.words.Catalogue;
import bricksignal.core.Known;
import bricksignal.core.words.Measured;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.Phrase;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** The catalogues that ship, one file a language below {@code words/}, and what the equipment data say in it; English where the language asked for has none. */
@Component
public class Words {

    private static final String CHECKED = Locale.ENGLISH.getLanguage();

    private final Map<String, Catalogue> byLanguage = new LinkedHashMap<>();
    private final Map<String, Catalogue> metric = new LinkedHashMap<>();

    Words() {
        Map<String, Catalogue> read = new LinkedHashMap<>();
        each("classpath*:words/*.properties", (language, text) -> read.put(language, Catalogue.read(text)));
        Map<String, Map<String, String>> phrases = new LinkedHashMap<>();
        each("classpath*:packs/words/*.tsv", (language, text) -> phrases.put(language, text.lines().map(line -> line.split("\t")).collect(Collectors.toMap(pair -> pair[0], pair -> pair[1]))));
        read.forEach((language, catalogue) -> byLanguage.put(language, language.equals(CHECKED) ? catalogue
                : catalogue.draftOf(Known.in(read, CHECKED), phrases.getOrDefault(language, Map.of()))));
        byLanguage.forEach((language, catalogue) -> metric.put(language, catalogue.in(Measures.METRIC)));
    }

    private static void each(String files, BiConsumer<String, String> take) {
        try {
            for (Resource file : new PathMatchingResourcePatternResolver().getResources(files)) {
                String name = String.valueOf(file.getFilename());
                take.accept(name.substring(0, name.lastIndexOf('.')), file.getContentAsString(StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The words of a message in the language of the request at hand. */
    public String of(Message message) {
        return catalogue().words(message);
    }

    /** The words of a message for the record, which everybody reads and searches: in one language, whoever writes it. */
    public String kept(Message message) {
        return Known.in(byLanguage, CHECKED).words(message);
    }

    /** Its phrases in every language, with {@code |} between them: what a customer says is understood in whichever it was typed. */
    public String everywhere(Message message) {
        return byLanguage.values().stream().map(catalogue -> catalogue.words(message)).collect(Collectors.joining("|"));
    }

    /** The same as a sentence. */
    public String sentence(Message message) {
        return catalogue().sentence(message);
    }

    /** The units that the person at hand reads and types. */
    public Measures measures() {
        return catalogue().measures();
    }

    /** By the language and the measuring system of the request, as BCP 47 writes them: {@code es-u-ms-metric}. */
    private Catalogue catalogue() {
        Locale asked = LocaleContextHolder.getLocale();
        Map<String, Catalogue> known = "metric".equals(asked.getUnicodeLocaleType("ms")) ? metric : byLanguage;
        Catalogue theirs = known.get(asked.getLanguage());
        return theirs == null ? Known.in(known, CHECKED) : theirs;
    }

    /** In JSON a message is its words, a number of a scale stands in the units of the person, and a phrase is told like a message. */
    @Bean
    static JsonMapperBuilderCustomizer messagesAreWords(Words words) {
        return builder -> builder.annotationIntrospector(new Phrases(new Told<>(words, String.class, (catalogue, said, to) -> to.writeString(catalogue.phrase(said)))))
                .addModule(new SimpleModule("messages").addSerializer(new Told<>(words, Message.class, (catalogue, message, to) -> to.writeString(catalogue.words(message))))
                        .addSerializer(new Told<>(words, Measured.class, (catalogue, measured, to) -> to.writeNumber(catalogue.measures().shown(measured.mode(), measured.value())))));
    }

    /** How a value is told in a language. */
    private interface Telling<T> {
        void tell(Catalogue catalogue, T value, JsonGenerator to);
    }

    /** Tells values in the catalogue of the request, which is looked for once a document. */
    private static final class Told<T> extends StdSerializer<T> {

        private final Words words;
        private final Telling<T> telling;

        Told(Words words, Class<T> type, Telling<T> telling) {
            super(type);
            this.words = words;
            this.telling = telling;
        }

        @Override
        public void serialize(T value, JsonGenerator to, SerializationContext context) {
            Catalogue catalogue = (Catalogue) context.getAttribute(Told.class);
            if (catalogue == null) {
                catalogue = words.catalogue();
                context.setAttribute(Told.class, catalogue);
            }
            telling.tell(catalogue, value, to);
        }
    }

    /** Text that is marked as a phrase is told in the language of the person. */
    private static final class Phrases extends JacksonAnnotationIntrospector {

        private static final long serialVersionUID = 1;

        private final transient Told<String> told;

        Phrases(Told<String> told) {
            this.told = told;
        }

        @Override
        public @Nullable Object findSerializer(MapperConfig<?> config, Annotated annotated) {
            return annotated.hasAnnotation(Phrase.class) && annotated.getRawType() == String.class ? told : super.findSerializer(config, annotated);
        }

        @Override
        public @Nullable Object findContentSerializer(MapperConfig<?> config, Annotated annotated) {
            return annotated.hasAnnotation(Phrase.class) && annotated.getRawType() != String.class ? told : super.findContentSerializer(config, annotated);
        }
    }
}
