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

    /** What the equipment data say, in the language of the request at hand. */
    public String phrase(String said) {
        return catalogue().phrase(said);
    }

    /** The same as a sentence. */
    public String sentence(Message message) {
        return catalogue().sentence(message);
    }

    /** By the language and the measuring system of the request, as BCP 47 writes them: {@code es-u-ms-metric}. */
    private Catalogue catalogue() {
        Locale asked = LocaleContextHolder.getLocale();
        Map<String, Catalogue> known = "metric".equals(asked.getUnicodeLocaleType("ms")) ? metric : byLanguage;
        Catalogue theirs = known.get(asked.getLanguage());
        return theirs == null ? Known.in(known, CHECKED) : theirs;
    }

    /** In JSON a message is its words. */
    @Bean
    static JsonMapperBuilderCustomizer messagesAreWords(Words words) {
        return builder -> builder.annotationIntrospector(new Phrases(words)).addModule(new SimpleModule("messages").addSerializer(new Told(words)).addSerializer(new InTheirUnits(words)));
    }

    private static final class Told extends StdSerializer<Message> {

        private final Words words;

        Told(Words words) {
            super(Message.class);
            this.words = words;
        }

        @Override
        public void serialize(Message message, JsonGenerator to, SerializationContext context) {
            Catalogue catalogue = (Catalogue) context.getAttribute(Told.class);
            if (catalogue == null) {
                catalogue = words.catalogue();
                context.setAttribute(Told.class, catalogue);
            }
            to.writeString(catalogue.words(message));
        }
    }

    private static final class InTheirUnits extends StdSerializer<Measured> {

        private final Words words;

        InTheirUnits(Words words) {
            super(Measured.class);
            this.words = words;
        }

        @Override
        public void serialize(Measured measured, JsonGenerator to, SerializationContext context) {
            to.writeNumber(words.catalogue().measures().shown(measured.mode(), measured.value()));
        }
    }

    /** Text that is marked as a phrase is told in the language of the person. */
    private static final class Phrases extends JacksonAnnotationIntrospector {

        private static final long serialVersionUID = 1;

        private final transient Words words;

        Phrases(Words words) {
            this.words = words;
        }

        @Override
        public @Nullable Object findSerializer(MapperConfig<?> config, Annotated annotated) {
            return annotated.hasAnnotation(Phrase.class) && annotated.getRawType() == String.class ? new Phrased(words) : super.findSerializer(config, annotated);
        }

        @Override
        public @Nullable Object findContentSerializer(MapperConfig<?> config, Annotated annotated) {
            return annotated.hasAnnotation(Phrase.class) && annotated.getRawType() != String.class ? new Phrased(words) : super.findContentSerializer(config, annotated);
        }
    }

    private static final class Phrased extends StdSerializer<String> {

        private final Words words;

        Phrased(Words words) {
            super(String.class);
            this.words = words;
        }

        @Override
        public void serialize(String phrase, JsonGenerator to, SerializationContext context) {
            to.writeString(words.phrase(phrase));
        }
    }
}
